//! The bench: batches begun, counted, booked; nothing lost or counted twice.
#![allow(clippy::unwrap_used, missing_docs)]

use std::sync::Arc;
use std::sync::atomic::{AtomicU64, Ordering};

use crate::common::{Reply, Workshop};
use axum::http::StatusCode;
use lorimant_core::chance::Chance;
use rstest::rstest;
use serde_json::{Value, json};

/// Keeps a hook clasp and begins a batch of it; gives the batch's number.
async fn begun(workshop: &Workshop, n: u32) -> i64 {
    let request = json!({ "kind": "hook-clasp", "wire": { "metal": "copper", "size_mm": 1.29 } });
    let kept = workshop.post("/api/findings", &json!({ "name": "hooks", "request": request })).await;
    assert_eq!(kept.status, StatusCode::CREATED, "{}", kept.text());
    let entry = kept.json()["entry"]["id"].clone();
    let batch = workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": n })).await;
    assert_eq!(batch.status, StatusCode::CREATED, "{}", batch.text());
    batch.json()["entry"]["id"].as_i64().unwrap()
}

/// Puts a spool of soft copper into stock; gives its number.
async fn spool(workshop: &Workshop, size_mm: f64, length_mm: f64) -> i64 {
    let copper = json!({ "name": "spool", "wire": { "metal": "copper", "size_mm": size_mm } });
    let lot = workshop.post("/api/lots", &json!({ "lot": copper, "length_mm": length_mm })).await.json();
    lot["lot"]["id"].as_i64().unwrap()
}

async fn tell(workshop: &Workshop, id: i64, told: Value) -> Reply {
    workshop.post(&format!("/api/batches/{id}/events"), &told).await
}

fn press(key: &str, step_n: usize, happened: &str, n: u32) -> Value {
    json!({ "key": format!("press-{key}"), "step_n": step_n, "kind": happened, "n": n })
}

/// The place of the first task of an operation, from 1.
async fn step_of(workshop: &Workshop, id: i64, operation: &str) -> usize {
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    let tasks = led["tasks"].as_array().unwrap();
    tasks.iter().position(|task| task["step"]["operation"] == operation).unwrap() + 1
}

async fn done_n(workshop: &Workshop, id: i64, step_n: usize) -> u64 {
    let far = workshop.get(&format!("/api/batches/{id}/progress")).await.json();
    far["progress"]["tasks"][step_n - 1]["done_n"].as_u64().unwrap()
}

/// Everything before a step is done.
async fn up_to(workshop: &Workshop, id: i64, step_n: usize) {
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    for at in 1..step_n {
        let n = u32::try_from(led["tasks"][at - 1]["n"].as_u64().unwrap()).unwrap();
        let reply = tell(workshop, id, press(&format!("before-{at}"), at, "done", n)).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    }
}

#[tokio::test]
async fn a_press_that_is_sent_twice_counts_once() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 5).await;
    let cut = step_of(&workshop, id, "cut").await;
    up_to(&workshop, id, cut).await;
    for _ in 0..3 {
        assert_eq!(tell(&workshop, id, press("one", cut, "done", 1)).await.status, StatusCode::OK);
    }
    tell(&workshop, id, press("two", cut, "done", 1)).await;
    assert_eq!(done_n(&workshop, id, cut).await, 2);
}

#[tokio::test]
async fn two_devices_that_press_at_once_count_every_press_and_no_more_than_there_are() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 40).await;
    let cut = step_of(&workshop, id, "cut").await;
    up_to(&workshop, id, cut).await;
    let presses = (0..60).map(|i| tell(&workshop, id, press(&format!("{i:04}"), cut, "done", 1)));
    let replies = futures_util::future::join_all(presses).await;
    let counted = replies.iter().filter(|reply| reply.status == StatusCode::OK).count();
    assert_eq!((counted, done_n(&workshop, id, cut).await), (40, 40));
    let refused = replies.iter().find(|reply| reply.status != StatusCode::OK).unwrap();
    assert!(refused.fault("n").contains("Everything is done"), "{}", refused.text());
}

#[tokio::test]
async fn cutting_takes_wire_off_its_lot_and_taking_back_puts_it_there_again() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 5).await;
    let (number, before) = (spool(&workshop, 1.29, 5000.0).await, 5000.0);
    let left = async || {
        let lot = workshop.get(&format!("/api/lots/{number}")).await.json();
        lot["balance"]["left_mm"].as_f64().unwrap()
    };
    let cut = step_of(&workshop, id, "cut").await;
    up_to(&workshop, id, cut).await;
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    let one_mm = led["tasks"][cut - 1]["off_the_spool_mm"].as_f64().unwrap();
    for i in 0..3 {
        let mut told = press(&format!("cut-{i}"), cut, "done", 1);
        told["lot"] = json!(number);
        let reply = tell(&workshop, id, told).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    }
    assert!((before - left().await - 3.0 * one_mm).abs() < 0.002, "{before} {} {one_mm}", left().await);
    for i in 0..2 {
        let reply = tell(&workshop, id, press(&format!("back-{i}"), cut, "taken-back", 1)).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    }
    assert!((before - left().await - one_mm).abs() < 0.002);
    assert_eq!(done_n(&workshop, id, cut).await, 1);
    // Cut from wire that is not booked and taken back again: what was booked before it stays booked.
    tell(&workshop, id, press("unbooked", cut, "done", 1)).await;
    tell(&workshop, id, press("back-unbooked", cut, "taken-back", 1)).await;
    assert!((before - left().await - one_mm).abs() < 0.002);
}

#[tokio::test]
async fn what_is_scrapped_goes_to_scrap_with_its_reason() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 4).await;
    let bend = step_of(&workshop, id, "bend").await;
    up_to(&workshop, id, bend).await;
    let mut told = press("miss", bend, "spoiled", 1);
    told["reason"] = json!("cracked at the eye");
    let far = tell(&workshop, id, told).await.json();
    assert_eq!(far["progress"]["whole_n"], 3);
    assert_eq!(far["progress"]["scrapped"][0]["reason"], "cracked at the eye");
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    let one_g = led["tasks"][bend - 1]["one_g"].as_f64().unwrap();
    let scrap = workshop.get("/api/scrap").await.json();
    let pile = scrap["piles"].as_array().unwrap().iter().find(|pile| pile["metal"] == "copper").unwrap();
    assert!((pile["mass_g"].as_f64().unwrap() - one_g).abs() < 0.001, "{scrap} {one_g}");
}

/// What is scrapped while it is cut leaves its lot and is scrap, and comes back with it where it was not scrapped after all.
#[tokio::test]
async fn wire_that_is_scrapped_at_the_cut_is_booked_and_comes_back() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 5).await;
    let number = spool(&workshop, 1.29, 5000.0).await;
    let cut = step_of(&workshop, id, "cut").await;
    up_to(&workshop, id, cut).await;
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    let one_mm = led["tasks"][cut - 1]["off_the_spool_mm"].as_f64().unwrap();
    let stands = async || {
        let lot = workshop.get(&format!("/api/lots/{number}")).await.json();
        let scrap = workshop.get("/api/scrap").await.json();
        let pile = scrap["piles"].as_array().unwrap().iter().find(|pile| pile["metal"] == "copper").cloned();
        let scrap_g = pile.map_or(0.0, |pile| pile["mass_g"].as_f64().unwrap());
        (lot["balance"]["left_mm"].as_f64().unwrap(), scrap_g)
    };
    // 1.29 mm copper of 8.96 g/cm³.
    let one_g = std::f64::consts::PI / 4.0 * 1.29_f64.powi(2) * one_mm * 8.96e-3;
    for (key, happened, blanks, scraps) in [
        ("one", "done", 1.0, 0.0),
        ("two", "spoiled", 2.0, 1.0),
        ("three", "spoiled", 3.0, 2.0),
        ("four", "rescued", 2.0, 1.0),
        ("five", "done", 3.0, 1.0),
        ("six", "taken-back", 2.0, 1.0),
    ] {
        let mut told = press(key, cut, happened, 1);
        told["lot"] = json!(number);
        let reply = tell(&workshop, id, told).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
        let (left_mm, scrap_g) = stands().await;
        assert!((5000.0 - left_mm - blanks * one_mm).abs() < 0.01, "{key}: {left_mm}");
        assert!((scrap_g - scraps * one_g).abs() < 0.003, "{key}: {scrap_g} {one_g}");
    }
    let refused = tell(&workshop, id, press("seven", cut, "rescued", 2)).await;
    assert!(refused.fault("n").contains("1 piece scrapped"), "{}", refused.text());
    // What waited for the server is told with its own time.
    let mut late = press("eight", cut, "done", 1);
    late["ago_s"] = json!(600.0);
    assert_eq!(tell(&workshop, id, late).await.status, StatusCode::OK);
}

/// Whatever is pressed, in whatever order: what left the lot is what was cut, whole or scrapped, and what is scrapped weighs on
/// its pile what it weighed at its step. A press that is refused moves nothing.
#[rstest]
#[tokio::test]
async fn lot_pieces_and_scrap_balance_whatever_is_pressed(#[values(1, 2, 3, 4, 5, 6)] seed: u64) {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 6).await;
    let number = spool(&workshop, 1.29, 5000.0).await;
    let cut = step_of(&workshop, id, "cut").await;
    up_to(&workshop, id, cut).await;
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    let tasks = led["tasks"].as_array().unwrap();
    let one_mm = tasks[cut - 1]["off_the_spool_mm"].as_f64().unwrap();
    // What is scrapped at the cut is all that left the spool, 1.29 mm copper of 8.96 g/cm³; later, what the piece still weighs.
    let cut_g = std::f64::consts::PI / 4.0 * 1.29_f64.powi(2) * one_mm * 8.96e-3;
    let weighs = |step: usize| if step == cut { cut_g } else { tasks[step - 1]["one_g"].as_f64().unwrap() };
    let last = tasks.len().min(cut + 3);
    let mut chance = Chance::of(seed);
    // Of every step how many were done, taken back ones left out, and how many were scrapped, rescued ones left out.
    let (mut done, mut scrapped) = (vec![0_i32; last + 1], vec![0_i32; last + 1]);
    let mut taken = 0;
    for nth in 0..120 {
        let step = cut + chance.below(last + 1 - cut);
        let happened = ["done", "done", "done", "taken-back", "spoiled", "rescued"][chance.below(6)];
        let mut told = press(&format!("random-{nth}"), step, happened, 1);
        told["lot"] = json!(number);
        let reply = tell(&workshop, id, told).await;
        if reply.status == StatusCode::OK {
            taken += 1;
            match happened {
                "done" => done[step] += 1,
                "taken-back" => done[step] -= 1,
                "spoiled" => scrapped[step] += 1,
                _ => scrapped[step] -= 1,
            }
        }
        let lot = workshop.get(&format!("/api/lots/{number}")).await.json();
        let left_mm = lot["balance"]["left_mm"].as_f64().unwrap();
        let off_mm = f64::from(done[cut] + scrapped[cut]) * one_mm;
        assert!((5000.0 - left_mm - off_mm).abs() < 0.01, "{nth} {happened} at {step}: {left_mm} {off_mm}");
        let scrap = workshop.get("/api/scrap").await.json();
        let pile = scrap["piles"].as_array().unwrap().iter().find(|pile| pile["metal"] == "copper").cloned();
        let pile_g = pile.map_or(0.0, |pile| pile["mass_g"].as_f64().unwrap());
        let scrap_g: f64 = (cut..=last).map(|step| f64::from(scrapped[step]) * weighs(step)).sum();
        assert!((pile_g - scrap_g).abs() < 0.006, "{nth} {happened} at {step}: {pile_g} {scrap_g}");
    }
    assert!(taken > 20, "only {taken} presses were taken");
}

/// Twelve kinds led press by press to their end, one piece scrapped on the way: each cut takes its wire off the lot, to a
/// hundredth of a millimetre, and nothing else does.
#[rstest]
#[tokio::test]
async fn a_batch_of_any_kind_balances_its_wire_to_its_end(
    #[values(
        "hook-clasp",
        "open-ear-wire",
        "wrapped-ear-wire",
        "pointed-ear-wire",
        "eye-pin",
        "plain-head-pin",
        "figure-eight",
        "s-link",
        "s-clasp",
        "round-ring",
        "wrapped-loop-link",
        "spiral-hook"
    )]
    kind: &str,
) {
    let workshop = Workshop::empty();
    let request = json!({ "kind": kind, "wire": { "metal": "copper", "size_mm": 0.81 } });
    let kept = workshop.post("/api/findings", &json!({ "name": "piece", "request": request })).await;
    assert_eq!(kept.status, StatusCode::CREATED, "{}", kept.text());
    let entry = kept.json()["entry"]["id"].clone();
    let batch = workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": 3 })).await.json();
    let id = batch["entry"]["id"].as_i64().unwrap();
    let number = spool(&workshop, 0.81, 9000.0).await;
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    let tasks = led["tasks"].as_array().unwrap();
    let last = tasks.len();
    let (mut off_mm, mut scrapped) = (0.0, false);
    for nth in 0..2000 {
        let far = workshop.get(&format!("/api/batches/{id}/progress")).await.json();
        let Some(at) = far["progress"]["at"].as_u64() else { break };
        let step = usize::try_from(at).unwrap() + 1;
        let one_mm = tasks[step - 1]["off_the_spool_mm"].as_f64().unwrap_or(0.0);
        // One piece is scrapped once it is made: its wire left the lot when it was cut.
        let scraps = !scrapped && step == last;
        let happened = if scraps { "spoiled" } else { "done" };
        scrapped |= scraps;
        let mut told = press(&format!("{step}-{nth}"), step, happened, 1);
        told["lot"] = json!(number);
        let reply = tell(&workshop, id, told).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
        off_mm += if scraps { 0.0 } else { one_mm };
        let lot = workshop.get(&format!("/api/lots/{number}")).await.json();
        let left_mm = lot["balance"]["left_mm"].as_f64().unwrap();
        assert!((9000.0 - left_mm - off_mm).abs() < 0.01, "{kind} step {step}: {left_mm}, {off_mm} off");
    }
    let far = workshop.get(&format!("/api/batches/{id}/progress")).await.json();
    assert!(far["progress"]["at"].is_null(), "{kind} is not made: {far}");
    assert!(off_mm > 0.0, "{kind} is cut from nothing");
}

/// Wire that a press took is put back by taking the press back, not behind the bench's back.
#[tokio::test]
async fn what_a_press_booked_is_not_undone_without_the_press() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 4).await;
    let bend = step_of(&workshop, id, "bend").await;
    up_to(&workshop, id, bend).await;
    tell(&workshop, id, press("miss", bend, "spoiled", 1)).await;
    let last = workshop.get("/api/history").await.json();
    let batch = last[0]["batch"].as_i64().unwrap();
    let refused = workshop.post(&format!("/api/undo/{batch}"), &json!({})).await;
    assert!(refused.fault("batch").contains("at the bench"), "{}", refused.text());
    // A key is one press of one batch.
    let other = begun(&workshop, 2).await;
    let refused = tell(&workshop, other, press("miss", 1, "done", 1)).await;
    assert!(refused.fault("key").contains("another batch"), "{}", refused.text());
}

/// The plan is changed and put away; the batch goes on as it was begun.
#[tokio::test]
async fn a_batch_keeps_the_recipe_it_was_begun_with() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 4).await;
    let before = workshop.get(&format!("/api/batches/{id}")).await.json();
    let kept = workshop.get("/api/saved").await.json();
    let entry = kept["entries"][0]["id"].as_i64().unwrap();
    let revision = kept["entries"][0]["revision"].as_i64().unwrap();
    let other = json!({ "name": "hooks", "request": { "kind": "hook-clasp",
        "wire": { "metal": "copper", "size_mm": 0.8 } } });
    let reply = workshop.put(&format!("/api/findings/{entry}?revision={revision}"), &other).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    let after = workshop.get(&format!("/api/batches/{id}")).await.json();
    assert_eq!(before["tasks"], after["tasks"]);
}

#[tokio::test]
async fn what_runs_by_itself_is_timed_by_the_server() {
    let workshop = Workshop::empty();
    let request = json!({ "kind": "hook-clasp", "wire": { "metal": "copper", "size_mm": 1.29 },
        "route": { "with": [{ "operation": "tumble" }] } });
    let kept = workshop.post("/api/findings", &json!({ "name": "hooks", "request": request })).await.json();
    let new = json!({ "entry": kept["entry"]["id"], "pieces_n": 2 });
    let id = workshop.post("/api/batches", &new).await.json()["entry"]["id"].as_i64().unwrap();
    let barrel = step_of(&workshop, id, "tumble").await;
    up_to(&workshop, id, barrel).await;
    let far = tell(&workshop, id, press("barrel", barrel, "started", 1)).await.json();
    let task = &far["progress"]["tasks"][barrel - 1];
    let at = |value: &Value| value.as_str().unwrap().parse::<jiff::Timestamp>().unwrap();
    let ready = at(&task["ready_at"]).duration_since(at(&task["started_at"]));
    assert_eq!(ready.as_secs(), 2 * 3600);
    let rows = workshop.get("/api/batches").await.json();
    assert_eq!(rows[0]["ready_at"], task["ready_at"]);
    assert_eq!(rows[0]["next"], "tumble pieces");
}

#[tokio::test]
async fn what_cannot_be_is_said_and_changes_nothing() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 3).await;
    let cases = [
        (press("ahead", 4, "done", 1), "n", "not done yet"),
        (press("nowhere", 99, "done", 1), "step_n", "no step 99"),
        (json!({ "key": "x", "step_n": 1, "kind": "done", "n": 1 }), "key", "8 to 64"),
    ];
    for (told, field, text) in cases {
        let reply = tell(&workshop, id, told).await;
        assert_eq!(reply.status, StatusCode::UNPROCESSABLE_ENTITY);
        assert!(reply.fault(field).contains(text), "{}", reply.text());
    }
    assert_eq!(done_n(&workshop, id, 1).await, 0);
    for n in [0, 100_001] {
        let refused = workshop.post("/api/batches", &json!({ "entry": 1, "pieces_n": n })).await;
        assert!(refused.fault("pieces_n").contains("1 to 100000"), "{}", refused.text());
        assert_eq!(refused.json()["errors"].as_array().unwrap().len(), 1);
    }
    let missing = workshop.post("/api/batches", &json!({ "entry": 999, "pieces_n": 3 })).await;
    assert!(
        missing.fault("entry").contains("There is no saved plan, finding or chain"),
        "{}",
        missing.text()
    );
    assert_eq!(workshop.get("/api/batches/12345").await.status, StatusCode::NOT_FOUND);
}

/// All of the workshop goes out and comes in again with what happened at its bench.
#[tokio::test]
async fn what_happened_goes_out_and_comes_in_with_the_workshop() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 4).await;
    let bend = step_of(&workshop, id, "bend").await;
    up_to(&workshop, id, bend).await;
    tell(&workshop, id, press("miss", bend, "spoiled", 1)).await;
    let out = workshop.get("/api/workshop.jsonl").await;
    assert_eq!(out.status, StatusCode::OK, "{}", out.text());
    let there = Workshop::empty();
    let brought = there.ask("POST", "/api/workshop", out.text()).await;
    assert!(brought.status.is_success(), "{}", brought.text());
    let far = |reply: Reply| reply.json()["progress"].clone();
    let path = format!("/api/batches/{id}/progress");
    assert_eq!(far(there.get(&path).await), far(workshop.get(&path).await));
    // So it was written before methods were called so, and those files are still about.
    let earlier = out.text().replace("\"methods\":", "\"schools\":");
    assert!(earlier.contains(r#""is":"happened""#) && earlier.contains(r#""schools":"#));
    let of_then = Workshop::empty();
    let brought = of_then.ask("POST", "/api/workshop", earlier).await;
    assert!(brought.status.is_success(), "{}", brought.text());
    assert_eq!(far(of_then.get(&path).await), far(workshop.get(&path).await));
    // What is no event is refused at its line.
    let wrong = out.text().replace("\"spoiled\"", "\"eaten\"");
    let refused = Workshop::empty().ask("POST", "/api/workshop", wrong).await;
    assert_eq!(refused.status, StatusCode::UNPROCESSABLE_ENTITY, "{}", refused.text());
}

const KILLS: u64 = 40;

/// The server is killed in the middle of presses, again and again; whoever got no answer presses the same press again.
#[test]
fn not_one_piece_is_lost_or_counted_twice_through_forty_kills() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let agent = ureq::Agent::new_with_defaults();
    let post = |address: &str, path: &str, body: &Value| -> Option<Value> {
        let sent = agent.post(format!("{address}api/{path}")).send_json(body);
        sent.ok()?.body_mut().read_json().ok()
    };
    let mut batch = None;
    let mut pending = None;
    let pressed = Arc::new(AtomicU64::new(0));
    for round in 0..KILLS {
        let (mut child, address) = crate::common::start(&file);
        let id = *batch.get_or_insert_with(|| {
            let request = json!({ "kind": "hook-clasp", "wire": { "metal": "copper", "size_mm": 1.29 },
                "route": { "without": ["straighten"] } });
            let kept = post(&address, "findings", &json!({ "name": "hooks", "request": request })).unwrap();
            let new = json!({ "entry": kept["entry"]["id"], "pieces_n": 5000 });
            let id = post(&address, "batches", &new).unwrap()["entry"]["id"].as_i64().unwrap();
            assert!(post(&address, &format!("batches/{id}/events"), &press("flush", 1, "done", 1)).is_some());
            id
        });
        // Killed as soon as a few presses are through, in the middle of the next.
        let (counted, enough) = (pressed.clone(), pressed.load(Ordering::SeqCst) + 1 + round % 5);
        let killer = std::thread::spawn(move || {
            while counted.load(Ordering::SeqCst) < enough {
                std::thread::yield_now();
            }
            child.kill().unwrap();
            child.wait().unwrap();
        });
        loop {
            let key = pending.take().unwrap_or_else(|| format!("{:06}", pressed.load(Ordering::SeqCst)));
            match post(&address, &format!("batches/{id}/events"), &press(&key, 2, "done", 1)) {
                Some(_) => {
                    pressed.fetch_add(1, Ordering::SeqCst);
                }
                None => {
                    pending = Some(key);
                    break;
                }
            }
        }
        killer.join().unwrap();
    }
    let (mut child, address) = crate::common::start(&file);
    let id = batch.unwrap();
    let last = pending.unwrap();
    let far = post(&address, &format!("batches/{id}/events"), &press(&last, 2, "done", 1)).unwrap();
    let pressed = pressed.load(Ordering::SeqCst);
    assert_eq!(far["progress"]["tasks"][1]["done_n"].as_u64(), Some(pressed + 1));
    assert!(pressed >= KILLS);
    child.kill().unwrap();
}

/// Hands that have been at it for half an hour are told to rest, whichever batch they were at; after a rest they are not.
#[tokio::test]
async fn hands_are_told_to_rest() {
    let workshop = Workshop::empty();
    let (one, other) = (begun(&workshop, 40).await, begun(&workshop, 40).await);
    let file = rusqlite::Connection::open(workshop.folder.path().join("workshop.lorimant")).unwrap();
    let pressed = |minutes_ago: i64, entry: i64| {
        let at = jiff::Timestamp::now() - jiff::SignedDuration::from_mins(minutes_ago);
        let sql = "INSERT INTO happened (key, entry, step_n, happened, n, reason, made_at) \
                   VALUES (?1, ?2, 3, 'done', 1, '', ?3)";
        file.execute(sql, (format!("press-ago-{minutes_ago}"), entry, at.to_string())).unwrap();
    };
    let rest = async || {
        let far = workshop.get(&format!("/api/batches/{other}/progress")).await.json();
        (far["at_it_min"].as_f64().unwrap().round(), far["rest_min"].as_f64())
    };
    assert_eq!(rest().await, (0.0, None));
    for ago in (2..=29).rev() {
        pressed(ago, if ago % 2 == 0 { one } else { other });
    }
    assert_eq!(rest().await, (27.0, None));
    workshop.post(&format!("/api/batches/{one}/events"), &press("now", 1, "done", 1)).await;
    assert_eq!(rest().await, (29.0, None));
    let settings = workshop.get("/api/settings").await.json();
    let mut shorter = settings["settings"].clone();
    shorter["hours"]["rest_every_min"] = json!(20.0);
    workshop.put(&format!("/api/settings?revision={}", settings["revision"]), &shorter).await;
    assert_eq!(rest().await, (29.0, Some(5.0)));
}

/// A closed batch, a key that stood for another press, wire of another metal: each is said, and nothing is counted.
#[tokio::test]
async fn what_cannot_be_meant_is_refused() {
    let workshop = Workshop::empty();
    let id = begun(&workshop, 5).await;
    let cut = step_of(&workshop, id, "cut").await;
    up_to(&workshop, id, cut).await;
    assert_eq!(tell(&workshop, id, press("one", cut, "done", 1)).await.status, StatusCode::OK);
    let other = tell(&workshop, id, press("one", cut, "done", 2)).await;
    assert!(other.fault("key").contains("another press"), "{}", other.text());

    let silver = json!({ "name": "silver", "wire": { "metal": "sterling-silver", "size_mm": 1.29 } });
    let lot = workshop.post("/api/lots", &json!({ "lot": silver, "length_mm": 5000.0 })).await;
    assert_eq!(lot.status, StatusCode::CREATED, "{}", lot.text());
    let mut of_silver = press("two", cut, "done", 1);
    of_silver["lot"] = lot.json()["lot"]["id"].clone();
    let refused = tell(&workshop, id, of_silver).await;
    assert!(refused.fault("lot").contains("Choose a lot of that wire"), "{}", refused.text());

    let batch = workshop.get(&format!("/api/batches/{id}")).await.json();
    let closing = json!({ "revision": batch["entry"]["revision"], "archived": true });
    let closed = workshop.post(&format!("/api/batches/{id}/archive"), &closing).await;
    assert_eq!(closed.status, StatusCode::OK, "{}", closed.text());
    let late = tell(&workshop, id, press("three", cut, "done", 1)).await;
    assert!(late.fault("kind").contains("closed"), "{}", late.text());
    // The same press, sent again, is still the same.
    assert_eq!(tell(&workshop, id, press("one", cut, "done", 1)).await.status, StatusCode::OK);
    assert_eq!(done_n(&workshop, id, cut).await, 1);
}

#[tokio::test]
async fn a_batch_under_way_stays_as_it_was_begun() {
    let workshop = Workshop::empty();
    let pliers = json!({ "name": "slim round-nose", "jaws": "round-nose", "tip_mm": 1.4, "base_mm": 5.6, "length_mm": 25.0 });
    let reply = workshop.post("/api/pliers", &pliers).await;
    let plier = reply.json()["entry"]["id"].clone();
    assert_eq!(reply.status, StatusCode::CREATED, "{}", reply.text());
    let rod = workshop.post("/api/rods", &json!({ "name": "12 mm dowel", "diameter_mm": 12.0 })).await;
    let rod = rod.json()["entry"]["id"].clone();
    let id = begun(&workshop, 3).await;
    let tasks = async || workshop.get(&format!("/api/batches/{id}")).await.json()["tasks"].clone();
    let before = tasks().await;
    up_to(&workshop, id, 2).await;

    let stored = workshop.get("/api/settings").await.json();
    let mut settings = stored["settings"].clone();
    settings["unit"] = json!("inch");
    settings["gear"]["torch"] = json!(false);
    settings["methods"]["marking"] = json!("with-cut");
    let reply = workshop.put(&format!("/api/settings?revision={}", stored["revision"]), &settings).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    for (shelf, id) in [("pliers", plier), ("rods", rod)] {
        let gone = json!({ "archived": true, "revision": 1 });
        let reply = workshop.post(&format!("/api/{shelf}/{id}/archive"), &gone).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    }
    assert_eq!(tasks().await, before, "its steps changed with the workshop");
    let next = begun_again(&workshop).await;
    let later = workshop.get(&format!("/api/batches/{next}")).await.json()["tasks"].clone();
    assert_ne!(later, before, "a new batch is made as the workshop is now");
    // What it keeps of the workshop is told where it is kept, not in every list.
    assert!(workshop.get("/api/batches").await.json()[0]["record"].get("workshop").is_none());
}

/// Another batch of the first kept finding.
async fn begun_again(workshop: &Workshop) -> i64 {
    let kept = workshop.get("/api/findings").await.json();
    let entry = kept["entries"][0]["id"].clone();
    let batch = workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": 3 })).await;
    batch.json()["entry"]["id"].as_i64().unwrap()
}
