//! The ledger: what is left is the sum of its lines, whoever writes, and whatever breaks off.
#![allow(clippy::unwrap_used, missing_docs)]

use std::sync::Arc;
use std::sync::atomic::{AtomicBool, Ordering};
use std::time::Duration;

use crate::common::{Reply, Workshop, start};
use axum::http::StatusCode;
use lorimant_server::Store;
use serde_json::{Value, json};

fn lot(name: &str) -> Value {
    json!({ "name": name, "wire": { "metal": "copper", "size_mm": 1.0 }, "price": "9.40", "tare_g": 62 })
}

async fn receive(workshop: &Workshop, name: &str, length_mm: f64) -> i64 {
    let reply = workshop.post("/api/lots", &json!({ "lot": lot(name), "length_mm": length_mm })).await;
    assert_eq!(reply.status, StatusCode::CREATED, "{}", reply.text());
    reply.json()["lot"]["id"].as_i64().unwrap()
}

async fn book(workshop: &Workshop, id: i64, kind: &str, length_mm: f64) -> Reply {
    workshop.post(&format!("/api/lots/{id}/ledger"), &json!({ "kind": kind, "length_mm": length_mm })).await
}

async fn left(workshop: &Workshop, id: i64) -> f64 {
    workshop.get(&format!("/api/lots/{id}")).await.json()["balance"]["left_mm"].as_f64().unwrap()
}

async fn ledger(workshop: &Workshop, id: i64) -> Vec<Value> {
    workshop.get(&format!("/api/lots/{id}/ledger")).await.json().as_array().unwrap().clone()
}

async fn undo(workshop: &Workshop, batch: &Value) -> Reply {
    workshop.post(&format!("/api/undo/{batch}"), &json!({})).await
}

#[tokio::test]
async fn wire_comes_in_by_length_or_by_weight() {
    let workshop = Workshop::empty();
    let id = receive(&workshop, "Blue spool", 20_000.0).await;
    assert_eq!(left(&workshop, id).await, 20_000.0);
    // A hundred grams of 1 mm copper: 100 / (π/4 · 8.96 g/m).
    let reply = workshop.post("/api/lots", &json!({ "lot": lot("By weight"), "mass_g": 100.0 })).await.json();
    let metres = reply["lot"]["balance"]["left_mm"].as_f64().unwrap() / 1000.0;
    let density = lorimant_core::wire::metal::Metal::Copper.figures().density_g_cm3;
    assert!((metres - 100.0 / (std::f64::consts::FRAC_PI_4 * density)).abs() < 1e-5, "{metres}");
    let both = json!({ "lot": lot("Both"), "mass_g": 100.0, "length_mm": 5.0 });
    assert!(workshop.post("/api/lots", &both).await.fault("length_mm").contains("Enter how much it is"));
    let neither = json!({ "lot": lot("Neither") });
    assert_eq!(workshop.post("/api/lots", &neither).await.status, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(workshop.get("/api/lots").await.json()["total"], 2);
}

/// Booked, reversed and undone at random, what is left is always the sum of the lines, and never below zero.
#[tokio::test]
async fn what_is_left_is_the_sum_of_the_ledger_whatever_is_done() {
    let workshop = Workshop::empty();
    let id = receive(&workshop, "Blue spool", 1000.0).await;
    let mut seed = 7_u32;
    let mut chance = |of: u32| {
        seed = seed.wrapping_mul(1_664_525).wrapping_add(1_013_904_223);
        (seed >> 16) % of
    };
    let mut batches = vec![];
    for _ in 0..150 {
        match chance(10) {
            0..=5 => {
                let kinds =
                    [("cut", -1.0), ("tried", -1.0), ("bought", 1.0), ("corrected", 1.0), ("scrapped", -1.0)];
                let (kind, sign) = kinds[chance(5) as usize];
                let reply = book(&workshop, id, kind, sign * f64::from(1 + chance(400))).await;
                if reply.status == StatusCode::CREATED {
                    batches.push(reply.json()["undo"].clone());
                } else {
                    assert!(reply.fault("length_mm").contains("Nothing was booked"));
                }
            }
            6 | 7 => {
                let lines = ledger(&workshop, id).await;
                let line = &lines[chance(u32::try_from(lines.len()).unwrap()) as usize]["id"];
                workshop.post(&format!("/api/ledger/{line}/reverse"), &json!({})).await;
            }
            _ => {
                if let Some(batch) = batches.pop() {
                    let reply = undo(&workshop, &batch).await;
                    if reply.status == StatusCode::OK && chance(2) == 0 {
                        batches.push(reply.json()["undo"].clone());
                    }
                }
            }
        }
        let lines = ledger(&workshop, id).await;
        let sum: f64 = lines.iter().map(|line| line["length_mm"].as_f64().unwrap()).sum();
        let now = left(&workshop, id).await;
        assert!((sum - now).abs() < 1e-6 && now >= 0.0, "{sum} {now}");
        assert!((lines[0]["left_mm"].as_f64().unwrap() - now).abs() < 1e-6);
    }
    assert!(ledger(&workshop, id).await.len() > 60);
}

#[tokio::test]
async fn a_line_is_reversed_once_and_stays() {
    let workshop = Workshop::empty();
    let id = receive(&workshop, "Blue spool", 1000.0).await;
    book(&workshop, id, "cut", -300.0).await;
    let line = ledger(&workshop, id).await[0]["id"].clone();
    let reply = workshop.post(&format!("/api/ledger/{line}/reverse"), &json!({})).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    assert_eq!(left(&workshop, id).await, 1000.0);
    let lines = ledger(&workshop, id).await;
    assert_eq!(lines.len(), 3);
    assert_eq!((&lines[0]["reverses"], &lines[1]["reversed"]), (&line, &json!(true)));
    let again = workshop.post(&format!("/api/ledger/{line}/reverse"), &json!({})).await;
    assert_eq!(again.status, StatusCode::CONFLICT, "{}", again.text());
    // The reversal undone is a third line, and the first counts again.
    undo(&workshop, &reply.json()["undo"]).await;
    assert_eq!(left(&workshop, id).await, 700.0);
    assert_eq!(workshop.post("/api/ledger/99999/reverse", &json!({})).await.status, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn wire_that_was_cut_since_cannot_be_taken_back() {
    let workshop = Workshop::empty();
    let reply =
        workshop.post("/api/lots", &json!({ "lot": lot("Blue spool"), "length_mm": 500 })).await.json();
    let id = reply["lot"]["id"].as_i64().unwrap();
    book(&workshop, id, "cut", -200.0).await;
    let refused = undo(&workshop, &reply["undo"]).await;
    assert_eq!(refused.status, StatusCode::CONFLICT, "{}", refused.text());
    // Nothing of the undoing stands: the lot is on the rack, with what was left of it.
    assert_eq!(left(&workshop, id).await, 300.0);
    assert_eq!(workshop.get("/api/lots").await.json()["total"], 1);
}

#[tokio::test]
async fn receiving_is_undone_and_done_again() {
    let workshop = Workshop::empty();
    let reply =
        workshop.post("/api/lots", &json!({ "lot": lot("Blue spool"), "length_mm": 500 })).await.json();
    let back = undo(&workshop, &reply["undo"]).await;
    assert_eq!(workshop.get("/api/lots").await.json()["total"], 0);
    assert_eq!(undo(&workshop, &back.json()["undo"]).await.status, StatusCode::OK);
    assert_eq!(workshop.get("/api/lots").await.json()["lots"][0]["balance"]["left_mm"], 500.0);
}

#[tokio::test]
async fn what_is_wrong_with_a_line_is_said_at_its_field() {
    let workshop = Workshop::empty();
    let id = receive(&workshop, "Blue spool", 500.0).await;
    assert!(book(&workshop, id, "cut", 5.0).await.fault("length_mm").contains("negative"));
    assert!(book(&workshop, id, "bought", -5.0).await.fault("length_mm").contains("without a minus"));
    assert!(book(&workshop, id, "cut", -500.001).await.fault("length_mm").contains("500 mm are left"));
    assert!(book(&workshop, id, "lost", -5.0).await.fault("kind").contains("scrapped"));
    assert_eq!(book(&workshop, 4242, "cut", -5.0).await.status, StatusCode::NOT_FOUND);
    assert_eq!(ledger(&workshop, id).await.len(), 1);
}

#[tokio::test]
async fn no_line_is_changed_or_taken_out_even_by_hand() {
    let workshop = Workshop::empty();
    receive(&workshop, "Blue spool", 500.0).await;
    let file = rusqlite::Connection::open(workshop.folder.path().join("workshop.lorimant")).unwrap();
    for (sql, says) in [
        ("UPDATE ledger SET amount = 1", "never"),
        ("DELETE FROM ledger", "never"),
        // Nor can more go out than there is.
        (
            "INSERT INTO ledger (batch, lot, kind, amount, note, made_at) VALUES (9, 1, 'cut', -500001, '', '')",
            "CHECK",
        ),
    ] {
        let refused = file.execute(sql, []).unwrap_err().to_string();
        assert!(refused.contains(says), "{refused}");
    }
}

#[tokio::test]
async fn a_rest_set_aside_leaves_the_spool_and_comes_back_with_one_undo() {
    let workshop = Workshop::empty();
    let id = receive(&workshop, "Blue spool", 2000.0).await;
    let aside = json!({ "name": "Blue rest", "length_mm": 240 });
    let reply = workshop.post(&format!("/api/lots/{id}/set-aside"), &aside).await;
    assert_eq!(reply.status, StatusCode::CREATED, "{}", reply.text());
    let rest = &reply.json()["lot"];
    assert_eq!((&rest["record"]["kind"], &rest["balance"]["left_mm"]), (&json!("offcut"), &json!(240.0)));
    // Its share of 9.40 for 2 m.
    assert_eq!(rest["balance"]["value"], "1.13");
    assert_eq!(left(&workshop, id).await, 1760.0);
    let too_long = json!({ "name": "Too long", "length_mm": 1761 });
    let refused = workshop.post(&format!("/api/lots/{id}/set-aside"), &too_long).await;
    assert!(refused.fault("length_mm").contains("1760 mm are left"));
    let unnamed = json!({ "name": "", "length_mm": 10 });
    let refused = workshop.post(&format!("/api/lots/{id}/set-aside"), &unnamed).await;
    assert!(refused.fault("name").contains("name"));
    undo(&workshop, &reply.json()["undo"]).await;
    assert_eq!(left(&workshop, id).await, 2000.0);
    assert_eq!(workshop.get("/api/lots").await.json()["total"], 1);
}

#[tokio::test]
async fn a_spool_is_weighed_on_the_simulated_scale() {
    let workshop = Workshop::empty();
    let id = receive(&workshop, "Blue spool", 10_000.0).await;
    let laid = workshop.post("/api/scale/pan", &json!({ "lot": id })).await;
    assert_eq!(laid.status, StatusCode::NO_CONTENT, "{}", laid.text());
    let reading = workshop.get("/api/scale").await.json();
    assert_eq!(reading["simulated"], true);
    let typed = reading["line"].as_str().unwrap();
    let look = workshop.post(&format!("/api/lots/{id}/weigh"), &json!({ "typed": typed })).await.json();
    let weighed = look["weighed"]["length_mm"].as_f64().unwrap();
    // A little was forgotten, at most 2.5 %; looking books nothing.
    assert!((9_700.0..=10_010.0).contains(&weighed), "{weighed}");
    assert_eq!((left(&workshop, id).await, look.get("undo")), (10_000.0, None));
    let booked = workshop
        .post(&format!("/api/lots/{id}/weigh"), &json!({ "typed": typed, "book": true }))
        .await
        .json();
    assert!((left(&workshop, id).await - weighed).abs() < 0.002);
    undo(&workshop, &booked["undo"]).await;
    assert_eq!(left(&workshop, id).await, 10_000.0);
    let wrong = workshop.post(&format!("/api/lots/{id}/weigh"), &json!({ "typed": "heavy" })).await;
    assert!(wrong.fault("typed").contains("not a weight"));
    workshop.post("/api/scale/pan", &json!({})).await;
    assert_eq!(workshop.get("/api/scale").await.json()["mass_g"], 0.0);
    assert_eq!(workshop.post("/api/scale/pan", &json!({ "lot": 777 })).await.status, StatusCode::NOT_FOUND);
}

/// A scale on the network: whatever sends a line of text to whoever connects.
#[tokio::test]
async fn a_scale_on_the_network_is_read_and_a_dead_one_said_to_be() {
    use tokio::io::AsyncWriteExt as _;
    let listener = tokio::net::TcpListener::bind("127.0.0.1:0").await.unwrap();
    let address = listener.local_addr().unwrap().to_string();
    let serving = tokio::spawn(async move {
        let (mut reader, _) = listener.accept().await.unwrap();
        reader.write_all(b"\r\n  S +  182,31 g\r\nnext").await.unwrap();
    });
    let folder = tempfile::tempdir().unwrap();
    let store = Store::open(&folder.path().join("workshop.lorimant")).unwrap();
    let workshop = Workshop::with_scale(folder, store, lorimant_server::Scale::at(&address));
    let reading = workshop.get("/api/scale").await.json();
    assert_eq!((&reading["mass_g"], &reading["simulated"]), (&json!(182.31), &json!(false)));
    serving.await.unwrap();
    let refused = workshop.get("/api/scale").await;
    assert_eq!(refused.status, StatusCode::SERVICE_UNAVAILABLE);
    assert!(refused.text().contains("type the weight"), "{}", refused.text());
    let real = workshop.post("/api/scale/pan", &json!({})).await;
    assert!(real.fault("lot").contains("real scale"));
}

/// A scale that sends line upon line, and is joined in the middle of one.
#[tokio::test]
async fn half_a_line_of_a_stream_is_no_weight() {
    use tokio::io::AsyncWriteExt as _;
    let listener = tokio::net::TcpListener::bind("127.0.0.1:0").await.unwrap();
    let address = listener.local_addr().unwrap().to_string();
    tokio::spawn(async move {
        let (mut reader, _) = listener.accept().await.unwrap();
        for line in [".31 g\r\n", "+ 182.31 g\r\n", "+ 182.31 g\r\n"] {
            if reader.write_all(line.as_bytes()).await.is_err() {
                return;
            }
        }
        // It goes on sending; nobody hangs up.
        std::future::pending::<()>().await;
    });
    let folder = tempfile::tempdir().unwrap();
    let store = Store::open(&folder.path().join("workshop.lorimant")).unwrap();
    let workshop = Workshop::with_scale(folder, store, lorimant_server::Scale::at(&address));
    assert_eq!(workshop.get("/api/scale").await.json()["mass_g"], 182.31);
}

/// Ten metres more than there ever were are not booked because a figure was misread.
#[tokio::test]
async fn a_weight_that_cannot_be_is_booked_only_by_who_is_sure() {
    let workshop = Workshop::empty();
    let id = receive(&workshop, "Blue spool", 10_000.0).await;
    let mut heavy = json!({ "typed": "2 kg", "tare_g": 0, "book": true });
    let path = format!("/api/lots/{id}/weigh");
    let refused = workshop.post(&path, &heavy).await;
    assert!(refused.fault("typed").starts_with("That is more than this lot ever had, 10 m."));
    assert_eq!(left(&workshop, id).await, 10_000.0);
    heavy["sure"] = json!(true);
    assert_eq!(workshop.post(&path, &heavy).await.status, StatusCode::OK);
    assert!(left(&workshop, id).await > 100_000.0);
}

/// Four windows on one program, all booking: what is there is given out once. A second program is refused the file.
#[tokio::test(flavor = "multi_thread", worker_threads = 4)]
async fn bookings_at_once_never_overdraw_and_lose_none() {
    let first = std::sync::Arc::new(Workshop::empty());
    let id = receive(&first, "Blue spool", 1000.0).await;
    let windows: Vec<_> = std::iter::repeat_n(first.clone(), 4)
        .map(|workshop| {
            tokio::spawn(async move {
                let mut booked = 0;
                for _ in 0..40 {
                    let reply = book(&workshop, id, "cut", -10.0).await;
                    match reply.status {
                        StatusCode::CREATED => booked += 1,
                        StatusCode::UNPROCESSABLE_ENTITY => {}
                        other => panic!("{other}: {}", reply.text()),
                    }
                }
                booked
            })
        })
        .collect();
    let mut booked = 0;
    for window in windows {
        booked += window.await.unwrap();
    }
    // 160 asked for ten millimetres each, of a metre.
    assert_eq!((booked, left(&first, id).await), (100, 0.0));
    assert_eq!(ledger(&first, id).await.len(), 101);
}

const LOTS: i64 = 40;
const KILLS: u64 = 40;

/// A booking over forty lots, the server killed in the middle: all of it stands, or nothing.
#[test]
fn a_booking_broken_off_is_booked_whole_or_not_at_all() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let agent = ureq::Agent::new_with_defaults();
    let (mut child, address) = start(&file);
    for n in 0..LOTS {
        let body = json!({ "lot": lot(&format!("Spool {n}")), "length_mm": 1_000_000 });
        agent.post(format!("{address}api/lots")).send_json(&body).unwrap();
    }
    child.kill().unwrap();
    child.wait().unwrap();
    let lots: Vec<Value> = (1..=LOTS)
        .map(|id| json!({ "lot": id, "cuts": [{ "what": "hooks", "length_mm": 61.5, "n": 2 }], "trim_mm": 0.6 }))
        .collect();
    let mut acknowledged = 0;
    let answered = Arc::new(AtomicBool::new(false));
    for round in 0..KILLS {
        let (mut child, address) = start(&file);
        let (agent, body) = (ureq::Agent::new_with_defaults(), json!({ "lots": lots }));
        let first = Arc::clone(&answered);
        let booking = std::thread::spawn(move || {
            let mut acknowledged = 0;
            while agent.post(format!("{address}api/cut-plans/book")).send_json(&body).is_ok() {
                acknowledged += 1;
                first.store(true, Ordering::Release);
            }
            acknowledged
        });
        // However slow the machine, one booking is acknowledged before the first kill.
        while round == 0 && !answered.load(Ordering::Acquire) {
            std::thread::sleep(Duration::from_millis(2));
        }
        std::thread::sleep(Duration::from_millis(6 + round * 7 % 40));
        child.kill().unwrap();
        child.wait().unwrap();
        acknowledged += booking.join().unwrap();
    }
    drop(Store::open(&file).unwrap());
    let connection = rusqlite::Connection::open(&file).unwrap();
    let sql = "SELECT count(*), count(DISTINCT lot), sum(kind = 'cut') FROM ledger WHERE kind <> 'bought' GROUP BY batch";
    let mut statement = connection.prepare(sql).unwrap();
    let batches: Vec<(i64, i64, i64)> = statement
        .query_map([], |row| Ok((row.get(0)?, row.get(1)?, row.get(2)?)))
        .unwrap()
        .collect::<Result<_, _>>()
        .unwrap();
    // Each a cut and a trim for every lot.
    assert!(batches.iter().all(|batch| *batch == (2 * LOTS, LOTS, LOTS)), "{batches:?}");
    assert!(batches.len() >= acknowledged && acknowledged > 0, "{} of {acknowledged}", batches.len());
}
