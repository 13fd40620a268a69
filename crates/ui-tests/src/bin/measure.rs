//! Measures the running program on this machine, for the figures in the documents: `cargo xtask bench`.

use std::io::Write as _;
use std::path::Path;
use std::time::{Duration, Instant};

use anyhow::{Context as _, Result};
use flate2::Compression;
use flate2::write::GzEncoder;
use lorimant_ui_tests::at_the_bench;
use lorimant_ui_tests::client::{answer, ask, connect, large_rack, report};
use lorimant_ui_tests::server::{Server, launch, launch_empty, program};

const PLAN: &str = r#"{"wire":{"metal":"copper","section":"round","size_mm":1.0237,"temper":"soft"},"mandrel":{"shape":"round","diameter_mm":5.0},"rings_n":120,"cutting":{"method":"saw","blade":"4/0"}}"#;

fn main() -> Result<()> {
    println!("program: {}", program()?.display());
    let runtime = tokio::runtime::Builder::new_multi_thread().enable_all().build()?;
    runtime.block_on(ready())?;
    runtime.block_on(planning())?;
    javascript()?;
    first_view()?;
    shifts()?;
    asking()?;
    dragging()?;
    rack()?;
    history()
}

/// Time from starting the program on the demo file to its first answer.
async fn ready() -> Result<()> {
    let folder = tempfile::tempdir()?;
    let file = folder.path().join("workshop.lorimant");
    drop(launch(&file, "0").await?);
    let mut times = vec![];
    for _ in 0..21 {
        let start = Instant::now();
        let (mut child, address) = launch(&file, "0").await?;
        ask(&mut connect(&address).await?, "GET", "/api/health", "").await?;
        times.push(start.elapsed());
        child.kill().await?;
    }
    report("server ready on the demo file, start to first answer", &mut times);
    Ok(())
}

/// `POST /api/rings/plan` with eight clients at once.
async fn planning() -> Result<()> {
    let server = Server::start().await?;
    let clients = (0..8).map(|_| {
        let address = server.address();
        tokio::spawn(async move {
            let mut stream = connect(&address).await?;
            let mut times = vec![];
            for _ in 0..2500 {
                let start = Instant::now();
                ask(&mut stream, "POST", "/api/rings/plan", PLAN).await?;
                times.push(start.elapsed());
            }
            anyhow::Ok(times)
        })
    });
    let mut times = vec![];
    for client in clients.collect::<Vec<_>>() {
        // The first hundred of each client warm the server up.
        times.extend(client.await??.into_iter().skip(100));
    }
    report("POST /api/rings/plan, 8 clients", &mut times);
    server.stop().await;
    Ok(())
}

/// Gzipped size of the scripts that the page loads before anything is clicked.
fn javascript() -> Result<()> {
    let dist = Path::new(env!("CARGO_MANIFEST_DIR")).join("../../web/dist");
    let page = std::fs::read_to_string(dist.join("index.html"))?;
    let mut total = 0;
    for part in page.split('"').filter(|part| part.ends_with(".js")) {
        let script = std::fs::read(dist.join(part.trim_start_matches('/')))?;
        let mut gzip = GzEncoder::new(vec![], Compression::default());
        gzip.write_all(&script)?;
        total += gzip.finish()?.len();
    }
    println!("first-load JavaScript, gzipped: {} kB", total / 1000);
    Ok(())
}

/// Time from navigation until the figures of the first view can be seen, with an empty cache.
fn first_view() -> Result<()> {
    at_the_bench(|maker| async move {
        let mut times = vec![];
        for _ in 0..11 {
            maker.browser.driver.cdp().send_raw("Network.clearBrowserCache", serde_json::json!({})).await?;
            let script = "const done = arguments[0];
                const seen = () => document.querySelector('[data-figure=ring-inside] .num')
                    ? requestAnimationFrame(() => done(performance.now())) : setTimeout(seen, 2);
                seen()";
            maker.open("/rings").await?;
            let milliseconds = maker.browser.driver.execute_async(script, vec![]).await?;
            let seconds = milliseconds.json().as_f64().context("no time")? / 1000.0;
            times.push(Duration::from_secs_f64(seconds));
        }
        report("first view usable in headless Chromium, navigation to figures drawn", &mut times);
        Ok(())
    })
}

/// Each view, with an empty cache: how far what is seen moves by itself until it is filled, as the browser sums it up.
fn shifts() -> Result<()> {
    const VIEWS: [&str; 23] = [
        "/today",
        "/rings",
        "/findings",
        "/findings/piece?kind=open-ear-wire",
        "/chains",
        "/saved",
        "/wire",
        "/wire/choose",
        "/wire/cutting-plan",
        "/wire/cost",
        "/orders",
        "/orders/schedule",
        "/orders/stock",
        "/bench",
        "/measure",
        "/measure/springback",
        "/measure/practice",
        "/measure/consistency",
        "/measure/jaws",
        "/measure/fix",
        "/tools",
        "/reference",
        "/help",
    ];
    const SUM: &str = "const done = arguments[0];
        setTimeout(() => {
            let sum = 0;
            const add = (list) => list.getEntries().forEach((one) => (sum += one.hadRecentInput ? 0 : one.value));
            new PerformanceObserver(add).observe({ type: 'layout-shift', buffered: true });
            setTimeout(() => done(sum), 200);
        }, 2000)";
    at_the_bench(|maker| async move {
        for (wide, high) in [(1280, 800), (390, 844)] {
            maker.browser.resize(wide, high).await?;
            let mut most = (0.0, "");
            for view in VIEWS {
                maker
                    .browser
                    .driver
                    .cdp()
                    .send_raw("Network.clearBrowserCache", serde_json::json!({}))
                    .await?;
                maker.open(view).await?;
                let sum = maker.browser.driver.execute_async(SUM, vec![]).await?;
                let sum = sum.json().as_f64().context("no sum")?;
                most = if sum > most.0 { (sum, view) } else { most };
            }
            println!(
                "cumulative layout shift, {} views at {wide} x {high}: at most {:.3} ({})",
                VIEWS.len(),
                most.0,
                most.1
            );
        }
        Ok(())
    })
}

/// Time from a letter typed into the ask line until its answer is drawn: rings, findings, a chain and sizes in turn.
fn asking() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/").await?;
        maker.find("[data-test=ask]").await?;
        let script = "const done = arguments[0];
            const lines = [
                (n) => `${n} rings 5 mm inside 18 ga copper`,
                (n) => `${n} pairs of ear wires, 20 ga sterling`,
                (n) => `how much wire for ${n} rings 6 mm 16 ga brass`,
                (n) => `${n} hook clasps 16 ga copper`,
                (n) => `what can I make with ${n} cm of 20 ga copper`,
                (n) => `${n} mm in inches`,
            ];
            const input = document.querySelector('[data-test=ask]');
            const value = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
            const answer = () => document.querySelector('[data-test=answer]')?.textContent ?? '';
            const painted = new MessageChannel();
            const times = [];
            let [start, before, waiting] = [0, '', false];
            new MutationObserver(() => {
                if (!waiting || answer() === before) return;
                waiting = false;
                requestAnimationFrame(() => painted.port2.postMessage(0));
            }).observe(document.body, { characterData: true, childList: true, subtree: true });
            const type = () => {
                if (times.length === 121) return done(times);
                before = answer();
                waiting = true;
                value.call(input, lines[times.length % lines.length](11 + times.length));
                start = performance.now();
                input.dispatchEvent(new InputEvent('input', { bubbles: true }));
            };
            painted.port1.onmessage = () => { times.push(performance.now() - start); setTimeout(type, 120); };
            type()";
        let times = maker.browser.driver.execute_async(script, vec![]).await?;
        let times = times.json().as_array().context("no times")?.iter().filter_map(serde_json::Value::as_f64);
        let times: Vec<Duration> = times.skip(1).map(|ms| Duration::from_secs_f64(ms / 1000.0)).collect();
        percentiles("the ask line, letter typed to answer drawn", times);
        Ok(())
    })
}

/// Prints the 95th percentile of some times beside their middle.
fn percentiles(of: &str, mut times: Vec<Duration>) {
    times.sort();
    let at = times.len() * 95 / 100;
    println!("{of}: 95th percentile {:.1} ms", times[at].as_secs_f64() * 1000.0);
    report("the same", &mut times);
}

/// Time from moving the pointer with a dimension in hand until the piece is drawn anew.
fn dragging() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/findings/piece?kind=wrapped-ear-wire").await?;
        maker.find("[data-dimension=back_mm] .hit").await?;
        let script = "const done = arguments[0];
            const handle = document.querySelector('[data-dimension=back_mm] .hit');
            const box = handle.getBoundingClientRect();
            let [x, y] = [box.x + box.width / 2, box.y + box.height - 6];
            const send = (target, kind) => target.dispatchEvent(
                new PointerEvent(kind, { bubbles: true, button: 0, clientX: x, clientY: y, pointerId: 1 }));
            send(handle, 'pointerdown');
            const drawing = document.querySelector('[data-test=drawing]');
            const times = [];
            const shape = () => [...drawing.querySelectorAll('.wire-edge')].map((path) => path.getAttribute('d'))
                + document.querySelector('[data-figure=blank] .num').textContent
                + drawing.querySelector('[data-dimension=back_mm] text').textContent;
            const painted = new MessageChannel();
            let start = 0;
            let before = '';
            let waiting = false;
            // When the page has changed, the next frame draws it; what is posted in that frame comes after it.
            new MutationObserver(() => {
                if (!waiting || shape() === before) return;
                waiting = false;
                requestAnimationFrame(() => painted.port2.postMessage(0));
            }).observe(document.body, { attributes: true, characterData: true, childList: true, subtree: true });
            painted.port1.onmessage = () => { times.push(performance.now() - start); move(); };
            const move = () => {
                if (times.length === 100) { send(window, 'pointerup'); return done(times); }
                before = shape();
                waiting = true;
                y += times.length < 50 ? 6 : -6;
                start = performance.now();
                send(window, 'pointermove');
            };
            move()";
        let times = maker.browser.driver.execute_async(script, vec![]).await?;
        let times = times.json().as_array().context("no times")?.iter().filter_map(serde_json::Value::as_f64);
        let mut times: Vec<Duration> = times.map(|ms| Duration::from_secs_f64(ms / 1000.0)).collect();
        // The first move only starts the drag.
        times.remove(0);
        percentiles("a dragged dimension, pointer moved to piece drawn", times);
        Ok(())
    })
}

/// A workshop of a hundred thousand readings in a thousand checks, as open lines.
fn many_readings() -> String {
    let piece = format!(r#"{{"rings":{PLAN}}}"#);
    let at = "2026-11-02T08:00:00Z";
    let mut lines = vec![r#"{"is":"workshop","format":"lorimant-workshop","version":1}"#.to_owned()];
    for id in 1..=1000 {
        lines.push(format!(
            r#"{{"is":"entry","id":{id},"shelf":"check","record":{{"name":"coil {id}","piece":{piece},"of":"coil","pieces_n":100}},"revision":1,"archived":false,"created_at":"{at}","updated_at":"{at}"}}"#
        ));
    }
    for id in 1..=100_000 {
        let (entry, piece_n) = ((id - 1) / 100 + 1, (id - 1) % 100 + 1);
        let value = 5.0 + f64::from(id % 17) / 100.0;
        lines.push(format!(
            r#"{{"is":"reading","id":{id},"key":"reading-{id}","entry":{entry},"piece_n":{piece_n},"dimension":"coil-inside","value":{value},"source":"caliper","made_at":"{at}","excluded":false}}"#
        ));
    }
    let lines_n = lines.len();
    lines.push(format!(r#"{{"is":"end","lines_n":{lines_n}}}"#));
    lines.join("\n") + "\n"
}

/// The history of a hundred thousand readings: answered, and opened from another view.
fn history() -> Result<()> {
    at_the_bench(|maker| async move {
        let folder = tempfile::tempdir()?;
        let (mut child, address) = launch_empty(&folder.path().join("workshop.lorimant")).await?;
        let mut stream = connect(&address).await?;
        let (status, body) = answer(&mut stream, "POST", "/api/workshop", &many_readings()).await?;
        anyhow::ensure!(status < 300, "{}", String::from_utf8_lossy(&body));
        let mut times = vec![];
        for _ in 0..40 {
            let start = Instant::now();
            ask(&mut stream, "GET", "/api/readings?most=50", "").await?;
            times.push(start.elapsed());
        }
        report("GET /api/readings, 100000 of them", &mut times);
        let mut opened = vec![];
        for _ in 0..11 {
            let script = "const done = arguments[0];
                let start = 0;
                const seen = () => document.querySelectorAll('[data-test=history] tr').length === 50
                    ? requestAnimationFrame(() => done(performance.now() - start)) : setTimeout(seen, 2);
                setTimeout(() => requestIdleCallback(() => {
                    start = performance.now();
                    document.querySelector('nav a[href=\"/measure/consistency\"]').click();
                    seen();
                }), 500)";
            maker.browser.driver.goto(format!("{}/measure/practice", address.trim_end_matches('/'))).await?;
            maker.find("[data-test=begin-drill]").await?;
            let milliseconds = maker.browser.driver.execute_async(script, vec![]).await?;
            opened.push(Duration::from_secs_f64(milliseconds.json().as_f64().context("no time")? / 1000.0));
        }
        report("the history of 100000 readings opened, clicked to its first fifty drawn", &mut opened);
        child.kill().await?;
        Ok(())
    })
}

const LOTS: usize = 2000;
const LINES: usize = 100;

/// A rack of two thousand spools with a hundred ledger lines each: answered, opened, filtered.
fn rack() -> Result<()> {
    at_the_bench(|maker| async move {
        let mut stream = connect(&maker.server.address()).await?;
        for from in (0..LOTS).step_by(200) {
            let document = large_rack(from..from + 200, LINES);
            ask(&mut stream, "POST", "/api/stock/import", &document).await?;
        }
        for (what, path) in
            [("GET /api/lots", "/api/lots"), ("the same, filtered", "/api/lots?find=spool%20177")]
        {
            let mut times = vec![];
            for _ in 0..40 {
                let start = Instant::now();
                ask(&mut stream, "GET", path, "").await?;
                times.push(start.elapsed());
            }
            report(&format!("{what}, {LOTS} spools and {} ledger lines", LOTS * LINES), &mut times);
        }
        let mut opened = vec![];
        for _ in 0..11 {
            // Whoever clicks has seen the view before it settle.
            let script = "const done = arguments[0];
                let start = 0;
                const seen = () => document.querySelectorAll('[data-test=lot]').length === 50
                    ? requestAnimationFrame(() => done(performance.now() - start)) : setTimeout(seen, 2);
                setTimeout(() => requestIdleCallback(() => {
                    start = performance.now();
                    document.querySelector('nav a[href=\"/wire\"]').click();
                    seen();
                }), 500)";
            maker.open("/tools").await?;
            maker.find("[data-test=rods]").await?;
            let milliseconds = maker.browser.driver.execute_async(script, vec![]).await?;
            opened.push(Duration::from_secs_f64(milliseconds.json().as_f64().context("no time")? / 1000.0));
        }
        report("the rack opened from another view, clicked to its first fifty lots drawn", &mut opened);
        let script = "const done = arguments[0];
            const field = document.querySelector('[data-test=find-lot] input');
            const first = () => document.querySelector('[data-test=open-lot]')?.textContent.trim();
            const times = [];
            let n = 0;
            const painted = new MessageChannel();
            painted.port1.onmessage = () => { times.push(performance.now() - start); next(); };
            let start = 0;
            let wanted = '';
            new MutationObserver(() => {
                if (first() !== wanted || document.querySelectorAll('[data-test=lot]').length > 11) return;
                wanted = 'nothing more';
                requestAnimationFrame(() => painted.port2.postMessage(0));
            }).observe(document.body, { childList: true, characterData: true, subtree: true });
            const next = () => {
                if (times.length === 40) return done(times);
                n += 37;
                wanted = `Spool ${1000 + n % 900}`;
                const text = wanted;
                start = performance.now();
                field.value = text;
                field.dispatchEvent(new Event('input', { bubbles: true }));
            };
            next()";
        let times = maker.browser.driver.execute_async(script, vec![]).await?;
        let times = times.json().as_array().context("no times")?.iter().filter_map(serde_json::Value::as_f64);
        let mut times: Vec<Duration> = times.map(|ms| Duration::from_secs_f64(ms / 1000.0)).collect();
        report("the rack filtered in the browser, typed to drawn", &mut times);
        Ok(())
    })
}
