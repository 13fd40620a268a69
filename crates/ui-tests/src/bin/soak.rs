//! Puts a server under a workshop's work for ten minutes (or as many as are said), and takes the largest rack out of one
//! workshop and into another: `cargo xtask soak`.

use std::collections::BTreeMap;
use std::path::Path;
use std::time::{Duration, Instant};

use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::client::{answer, ask, connect, large_rack, report};
use lorimant_ui_tests::server::{launch, launch_empty};
use serde_json::{Value, json};
use tokio::io::AsyncWriteExt as _;
use tokio::net::TcpStream;
use tokio::process::Child;

const CLIENTS: u64 = 8;
const SILENT: usize = 2100;
const LOTS: usize = 2000;
const LINES: usize = 100;

fn main() -> Result<()> {
    let minutes = std::env::args().nth(1).map_or(Ok(10.0), |text| text.parse::<f64>())?;
    let runtime = tokio::runtime::Builder::new_multi_thread().enable_all().build()?;
    runtime.block_on(async {
        mixed_load(Duration::from_secs_f64(minutes * 60.0)).await?;
        silent_connections().await?;
        out_and_in().await
    })
}

/// The megabytes a program has now and had at most, and its open files.
fn takes(child: &Child) -> Result<(u64, u64, usize)> {
    let process = format!("/proc/{}", child.id().context("it has ended")?);
    let status = std::fs::read_to_string(format!("{process}/status"))?;
    let kilobytes = |name: &str| -> Result<u64> {
        let line = status.lines().find_map(|line| line.strip_prefix(name)).context("no such line")?;
        Ok(line.trim_end_matches("kB").trim().parse()?)
    };
    let files = std::fs::read_dir(format!("{process}/fd"))?.count();
    Ok((kilobytes("VmRSS:")? / 1024, kilobytes("VmHWM:")? / 1024, files))
}

/// What eight people do at once: plan, look at the rack, ask, keep, book.
async fn mixed_load(long: Duration) -> Result<()> {
    let folder = tempfile::tempdir()?;
    let (mut server, address) = launch(&folder.path().join("workshop.lorimant"), "0").await?;
    let mut stream = connect(&address).await?;
    let (_, kinds) = answer(&mut stream, "GET", "/api/finding-kinds", "").await?;
    let kinds: Vec<Value> = serde_json::from_slice(&kinds)?;
    let kinds: Vec<String> =
        kinds.iter().filter_map(|kind| Some(kind["kind"].as_str()?.to_owned())).collect();
    let start = Instant::now();
    let clients: Vec<_> = (0..CLIENTS)
        .map(|seed| tokio::spawn(work(address.clone(), kinds.clone(), seed, start + long)))
        .collect();
    let beside = tokio::spawn(relaxing(address.clone(), start + long));
    let pulse = tokio::spawn(health(address.clone(), start + long));
    for sixth in 1..=6_u32 {
        tokio::time::sleep_until((start + long * sixth / 6).into()).await;
        let (now, peak, files) = takes(&server)?;
        println!("after {:4.0} s: {now} MB, {peak} MB at most, {files} files", start.elapsed().as_secs_f64());
    }
    let mut all: BTreeMap<&str, Vec<Duration>> = BTreeMap::new();
    for client in clients {
        for (what, times) in client.await?? {
            all.entry(what).or_default().extend(times);
        }
    }
    all.insert("health", pulse.await??);
    for (what, times) in &mut all {
        report(what, times);
    }
    println!("weaves of twelve rings worked out beside it: {}", beside.await??);
    server.kill().await?;
    Ok(())
}

/// A weave of twelve rings: each through the next, and through the one so many on.
fn twelve(on: usize) -> Value {
    let link = |ring: usize, by: usize| json!({ "ring": ring, "through": (ring + by) % 12, "cells_along": i32::from(ring + by >= 12) });
    let links: Vec<Value> = (0..12).flat_map(|ring| [link(ring, 1), link(ring, on)]).collect();
    json!({ "name": format!("twelve by {on}"), "rings": vec!["ring"; 12], "links": links })
}

/// One weave of twelve rings after another is worked out as a job; how many came to an end.
async fn relaxing(address: String, until: Instant) -> Result<u32> {
    let mut stream = connect(&address).await?;
    let mut done_n = 0;
    for on in (2..6).cycle() {
        let asked = json!({ "weave": twelve(on) }).to_string();
        let (status, job) = answer(&mut stream, "POST", "/api/chains/relaxing", &asked).await?;
        ensure!(status == 200, "{status} {}", String::from_utf8_lossy(&job));
        let mut job: Value = serde_json::from_slice(&job)?;
        while job["working"] == true {
            if Instant::now() > until {
                return Ok(done_n);
            }
            tokio::time::sleep(Duration::from_millis(500)).await;
            let path = format!("/api/chains/relaxing/{}", job["job"]);
            job = serde_json::from_slice(&answer(&mut stream, "GET", &path, "").await?.1)?;
        }
        done_n += 1;
    }
    Ok(done_n)
}

/// How long the server takes to say that it is well, twenty times a second.
async fn health(address: String, until: Instant) -> Result<Vec<Duration>> {
    let mut stream = connect(&address).await?;
    let mut times = vec![];
    while Instant::now() < until {
        let asked = Instant::now();
        must(&mut stream, "GET", "/api/health", &Value::Null).await?;
        times.push(asked.elapsed());
        tokio::time::sleep(Duration::from_millis(50)).await;
    }
    Ok(times)
}

/// Numbers that look random and are the same each time.
struct Dice(u64);

impl Dice {
    fn below(&mut self, n: u64) -> u64 {
        self.0 ^= self.0 << 13;
        self.0 ^= self.0 >> 7;
        self.0 ^= self.0 << 17;
        self.0 % n
    }
}

async fn work(
    address: String,
    kinds: Vec<String>,
    seed: u64,
    until: Instant,
) -> Result<BTreeMap<&'static str, Vec<Duration>>> {
    let wire = json!({ "metal": "copper", "size_mm": 1 });
    let rings = json!({ "wire": wire, "mandrel": { "diameter_mm": 5 }, "rings_n": 100 });
    let mut dice = Dice(seed + 1);
    let mut stream = connect(&address).await?;
    let mut times: BTreeMap<&str, Vec<Duration>> = BTreeMap::new();
    while Instant::now() < until {
        let start = Instant::now();
        let what = match dice.below(100) {
            0..30 => {
                must(&mut stream, "POST", "/api/rings/sheet", &rings).await?;
                "a ring sheet"
            }
            30..50 => {
                let kind = &kinds[usize::try_from(dice.below(kinds.len() as u64))?];
                must(&mut stream, "POST", "/api/findings/sheet", &json!({ "kind": kind, "wire": wire }))
                    .await?;
                "a finding's sheet"
            }
            50..65 => {
                must(&mut stream, "GET", "/api/lots?find=copper", &Value::Null).await?;
                "lots found"
            }
            65..75 => {
                must(&mut stream, "GET", "/api/saved", &Value::Null).await?;
                "what is kept"
            }
            75..77 => {
                must(&mut stream, "GET", "/api/schedule", &Value::Null).await?;
                "the schedule"
            }
            77 => {
                let ring = json!({ "wire": wire, "mandrel": { "diameter_mm": 4.5 }, "rings_n": 1 });
                let own = twelve(2 + usize::try_from(dice.below(3))?);
                let chain =
                    json!({ "weave": own["name"], "own_weave": own, "ring": ring, "length_mm": 200.0 });
                must(&mut stream, "POST", "/api/chains/sheet", &chain).await?;
                "a chain of an own weave"
            }
            78 => {
                let ring = json!({ "wire": wire, "mandrel": { "diameter_mm": 4.5 }, "rings_n": 1 });
                let request = json!({ "weave": "byzantine", "ring": ring, "length_mm": 5000.0 });
                let chain = json!({ "name": "long", "request": request });
                must(&mut stream, "POST", "/api/chains/export/placings.csv", &chain).await?;
                "5 m of chain as a table"
            }
            79..85 => {
                let line = json!({ "text": "120 rings 5 mm inside copper 18 soft" });
                must(&mut stream, "POST", "/api/ask", &line).await?;
                "a line asked"
            }
            85..92 => {
                let name = format!("plan {}", dice.below(1_000_000));
                must(&mut stream, "POST", "/api/plans", &json!({ "name": name, "request": rings })).await?;
                "a plan kept"
            }
            _ => {
                let booked = json!({ "kind": "tried", "length_mm": -0.05 });
                let path = format!("/api/lots/{}/ledger", lot(&mut stream, &mut dice).await?);
                must(&mut stream, "POST", &path, &booked).await?;
                "a lot looked up and wire booked"
            }
        };
        times.entry(what).or_default().push(start.elapsed());
    }
    Ok(times)
}

async fn lot(stream: &mut TcpStream, dice: &mut Dice) -> Result<i64> {
    let (_, lots) = answer(stream, "GET", "/api/lots", "").await?;
    let lots: Value = serde_json::from_slice(&lots)?;
    let lots = lots["lots"].as_array().context("no lots")?;
    lots[usize::try_from(dice.below(lots.len() as u64))?]["id"].as_i64().context("no number")
}

async fn must(stream: &mut TcpStream, method: &str, path: &str, body: &Value) -> Result<()> {
    let body = if body.is_null() { String::new() } else { body.to_string() };
    let (status, body) = answer(stream, method, path, &body).await?;
    ensure!(status < 300, "{method} {path}: {status} {}", String::from_utf8_lossy(&body));
    Ok(())
}

/// More connections than there is room for, none of which says anything; how long others and the stop wait for them.
async fn silent_connections() -> Result<()> {
    let folder = tempfile::tempdir()?;
    let (mut server, address) = launch(&folder.path().join("workshop.lorimant"), "0").await?;
    let mut silent = vec![];
    for n in 0..SILENT {
        let mut stream = connect(&address).await?;
        if n % 2 == 1 {
            // Those that came first may have made room already.
            let _ = stream.write_all(b"POST /api/plans HTTP/1.1\r\nContent-Length: 500\r\n\r\n{").await;
        }
        silent.push(stream);
    }
    let mut slowest = Duration::ZERO;
    for _ in 0..20 {
        let asked = Instant::now();
        must(&mut connect(&address).await?, "GET", "/api/health", &Value::Null).await?;
        slowest = slowest.max(asked.elapsed());
    }
    let stopped = Instant::now();
    let id = server.id().context("it has ended")?.to_string();
    tokio::process::Command::new("kill").args(["-TERM", &id]).status().await?;
    server.wait().await?;
    println!(
        "{SILENT} silent connections: health {:.0} ms at most, stopped in {:.1} s",
        slowest.as_secs_f64() * 1000.0,
        stopped.elapsed().as_secs_f64()
    );
    Ok(())
}

/// Two thousand lots with two hundred thousand lines out of one workshop and into a new one, which must be equal.
async fn out_and_in() -> Result<()> {
    let folder = tempfile::tempdir()?;
    let (first, second) = (folder.path().join("first.lorimant"), folder.path().join("second.lorimant"));
    let (filling, address) = launch_empty(&first).await?;
    let mut stream = connect(&address).await?;
    for from in (0..LOTS).step_by(200) {
        ask(&mut stream, "POST", "/api/stock/import", &large_rack(from..from + 200, LINES)).await?;
    }
    drop(filling);
    let (server, address) = launch_empty(&first).await?;
    let start = Instant::now();
    let lines = folder.path().join("first.jsonl");
    save(&address, &lines).await?;
    let size = std::fs::metadata(&lines)?.len();
    println!(
        "{LOTS} lots and {} lines out: {:.1} MB in {:.1} s, {} MB at most",
        LOTS * LINES,
        size as f64 / 1e6,
        start.elapsed().as_secs_f64(),
        takes(&server)?.1
    );
    let (server, address) = launch_empty(&second).await?;
    let text = std::fs::read_to_string(&lines)?;
    let start = Instant::now();
    ask(&mut connect(&address).await?, "POST", "/api/workshop", &text).await?;
    println!("the same in: {:.1} s, {} MB at most", start.elapsed().as_secs_f64(), takes(&server)?.1);
    let again = folder.path().join("second.jsonl");
    save(&address, &again).await?;
    ensure!(std::fs::read(&again)? == std::fs::read(&lines)?, "what came out again is not what went in");
    println!("out again: equal");
    Ok(())
}

/// Takes a workshop out into a file.
async fn save(address: &str, to: &Path) -> Result<()> {
    let (path, mut to) = (format!("{address}/api/workshop.jsonl"), std::fs::File::create(to)?);
    let saved = tokio::task::spawn_blocking(move || -> Result<()> {
        std::io::copy(&mut ureq::get(path).call()?.body_mut().as_reader(), &mut to)?;
        Ok(())
    });
    saved.await?
}
