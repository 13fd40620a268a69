//! Every write can be taken back, and done again: the workshop is then what it was, to the last figure.
#![allow(clippy::unwrap_used, clippy::panic, missing_docs)]

use crate::common::Workshop;
use axum::http::StatusCode;
use proptest::prelude::*;
use rstest::rstest;
use serde_json::{Value, json};

/// What stands in the workshop, without the times and revisions that only go on.
async fn progress(workshop: &Workshop) -> Value {
    let mut all = json!({});
    for path in [
        "/api/stock/all.json",
        "/api/plans?most=500",
        "/api/findings?most=500",
        "/api/rods?most=500",
        "/api/pliers?most=500",
        "/api/blades?most=500",
        "/api/picks",
        "/api/scrap",
        "/api/settings/wires",
        "/api/lots?most=500",
    ] {
        let mut value = workshop.get(path).await.json();
        forget(&mut value);
        all[path] = value;
    }
    all
}

/// Leaves out what counts up whatever is done, and sorts lists by what they hold.
fn forget(value: &mut Value) {
    match value {
        Value::Object(fields) => {
            for field in [
                "revision",
                "updated_at",
                "made_at",
                "created_at",
                "exported_at",
                "id",
                "entry",
                "pick",
                "picks",
            ] {
                fields.remove(field);
            }
            fields.values_mut().for_each(forget);
        }
        Value::Array(items) => {
            items.iter_mut().for_each(forget);
            items.sort_by_key(Value::to_string);
        }
        Value::Number(number) => {
            // Sums of lengths in another order differ in their last bits.
            let rounded = (number.as_f64().unwrap() * 1e6).round() / 1e6;
            *value = json!(rounded);
        }
        _ => {}
    }
}

async fn first(workshop: &Workshop, path: &str) -> Value {
    let list = workshop.get(path).await.json();
    let entries = if list.is_array() {
        list
    } else if list["lots"].is_array() {
        list["lots"].clone()
    } else {
        list["entries"].clone()
    };
    entries[0].clone()
}

/// Does one kind of write; gives the number that undoes it.
async fn write(workshop: &Workshop, what: &str) -> i64 {
    let named = |entry: &Value| (entry["id"].as_i64().unwrap(), entry["revision"].as_i64().unwrap());
    let reply = match what {
        "a plan is kept" => {
            let request =
                json!({ "wire": { "metal": "copper", "size_mm": 1.0 }, "mandrel": { "diameter_mm": 5 } });
            workshop.post("/api/plans", &json!({ "name": "New", "request": request })).await
        }
        "a plan is changed" => {
            let entry = first(workshop, "/api/plans").await;
            let (id, revision) = named(&entry);
            let mut record = entry["record"].clone();
            record["request"]["rings_n"] = json!(7);
            record["name"] = json!("Other name");
            workshop.put(&format!("/api/plans/{id}?revision={revision}"), &record).await
        }
        "a plan is archived" => {
            let (id, revision) = named(&first(workshop, "/api/plans").await);
            let body = json!({ "revision": revision, "archived": true });
            workshop.post(&format!("/api/plans/{id}/archive"), &body).await
        }
        "a finding is kept" => {
            let kind = workshop.get("/api/finding-kinds").await.json()[0].clone();
            let request = json!({ "kind": kind["kind"], "wire": kind["wire"] });
            workshop.post("/api/findings", &json!({ "name": "New", "request": request })).await
        }
        "a finding is changed" => {
            let entry = first(workshop, "/api/findings").await;
            let (id, revision) = named(&entry);
            let mut record = entry["record"].clone();
            record["note"] = json!("for the second cast");
            workshop.put(&format!("/api/findings/{id}?revision={revision}"), &record).await
        }
        "a rod is added" => {
            workshop.post("/api/rods", &json!({ "name": "spindle", "diameter_mm": 3.3 })).await
        }
        "a start set is taken over" => workshop.post("/api/start-sets/dowels", &json!({})).await,
        "a blade is added" => {
            let own = workshop.get("/api/blades").await.text();
            let table = workshop.get("/api/blade-table").await.json();
            let free = table
                .as_array()
                .unwrap()
                .iter()
                .find(|row| !own.contains(&row["blade"].to_string()))
                .unwrap();
            workshop.post("/api/blades", &json!({ "blade": free["blade"] })).await
        }
        "pliers are removed" => {
            let (id, revision) = named(&first(workshop, "/api/pliers").await);
            let body = json!({ "revision": revision, "archived": true });
            workshop.post(&format!("/api/pliers/{id}/archive"), &body).await
        }
        "wire is received" => {
            let lot =
                json!({ "name": "New", "wire": { "metal": "brass", "size_mm": 0.8 }, "price": "12.50" });
            workshop.post("/api/lots", &json!({ "lot": lot, "length_mm": 4000.0 })).await
        }
        "wire is tried" => {
            let (id, _) = named(&first(workshop, "/api/lots").await);
            let body = json!({ "kind": "tried", "typed": "120 mm", "note": "first loop" });
            workshop.post(&format!("/api/lots/{id}/ledger"), &body).await
        }
        "a rest is set aside" => {
            let (id, _) = named(&first(workshop, "/api/lots").await);
            workshop
                .post(&format!("/api/lots/{id}/set-aside"), &json!({ "name": "Rest", "length_mm": 100.0 }))
                .await
        }
        "a line is reversed" => {
            let (id, _) = named(&first(workshop, "/api/lots").await);
            let lines = workshop.get(&format!("/api/lots/{id}/ledger")).await.json();
            let line = lines.as_array().unwrap().iter().find(|line| line["length_mm"].as_f64() < Some(0.0));
            let line = line.unwrap_or(&lines[0])["id"].as_i64().unwrap();
            workshop.post(&format!("/api/ledger/{line}/reverse"), &json!({})).await
        }
        "a keeping is said" => {
            let wire = json!({ "metal": "brass", "size_mm": 0.8 });
            workshop.put("/api/settings/wires", &json!({ "wire": wire, "keep_mm": 5000.0 })).await
        }
        "scrap is put down" => {
            let body = json!({ "metal": "copper", "cleanliness": "clean", "mass_g": 3.5 });
            workshop.post("/api/scrap", &body).await
        }
        "a finding is picked" => {
            let (id, _) = named(&first(workshop, "/api/findings").await);
            workshop.post("/api/picks", &json!({ "entry": id, "pieces_n": 9 })).await
        }
        _ => panic!("{what}"),
    };
    assert!(reply.status.is_success(), "{what}: {} {}", reply.status, reply.text());
    reply.json()["undo"].as_i64().unwrap_or_else(|| panic!("{what}: {}", reply.text()))
}

async fn undo(workshop: &Workshop, batch: i64) -> i64 {
    let reply = workshop.post(&format!("/api/undo/{batch}"), &json!({})).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    reply.json()["undo"].as_i64().unwrap()
}

const WRITES: [&str; 16] = [
    "a plan is kept",
    "a plan is changed",
    "a plan is archived",
    "a finding is kept",
    "a finding is changed",
    "a rod is added",
    "a start set is taken over",
    "a blade is added",
    "pliers are removed",
    "wire is received",
    "wire is tried",
    "a rest is set aside",
    "a line is reversed",
    "a keeping is said",
    "scrap is put down",
    "a finding is picked",
];

/// Parts of the workshop that differ between two states.
fn differing(a: &Value, b: &Value) -> Vec<String> {
    let paths = a.as_object().unwrap().keys();
    paths.filter(|path| a[path.as_str()] != b[path.as_str()]).cloned().collect()
}

#[tokio::test]
async fn every_write_is_taken_back_and_done_again() {
    for what in WRITES {
        let workshop = Workshop::demo();
        let before = progress(&workshop).await;
        let batch = write(&workshop, what).await;
        let after = progress(&workshop).await;
        assert!(!differing(&before, &after).is_empty(), "{what} changes nothing");
        let back = undo(&workshop, batch).await;
        assert_eq!(differing(&before, &progress(&workshop).await), Vec::<String>::new(), "{what}, undone");
        let again = undo(&workshop, back).await;
        assert_eq!(differing(&after, &progress(&workshop).await), Vec::<String>::new(), "{what}, done again");
        undo(&workshop, again).await;
        assert_eq!(
            differing(&before, &progress(&workshop).await),
            Vec::<String>::new(),
            "{what}, undone again"
        );
    }
}

/// One after another, all of them, and then back in turn.
#[tokio::test]
async fn a_day_of_writes_is_walked_back() {
    let workshop = Workshop::demo();
    let mut states = vec![progress(&workshop).await];
    let mut batches = vec![];
    for what in WRITES {
        batches.push(write(&workshop, what).await);
        states.push(progress(&workshop).await);
    }
    for (n, batch) in batches.into_iter().enumerate().rev() {
        undo(&workshop, batch).await;
        let differs = differing(&states[n], &progress(&workshop).await);
        assert_eq!(differs, Vec::<String>::new(), "back before: {}", WRITES[n]);
    }
}

#[rstest]
#[case("a plan is changed", "/api/plans")]
#[case("a finding is changed", "/api/findings")]
#[tokio::test]
async fn what_was_changed_since_is_not_taken_back(#[case] what: &str, #[case] path: &str) {
    let workshop = Workshop::demo();
    let batch = write(&workshop, what).await;
    let entry = workshop.get(path).await.json()["entries"]
        .as_array()
        .unwrap()
        .iter()
        .max_by_key(|entry| entry["updated_at"].as_str().map(str::to_owned))
        .unwrap()
        .clone();
    let (id, revision) = (entry["id"].as_i64().unwrap(), entry["revision"].as_i64().unwrap());
    let mut record = entry["record"].clone();
    record["note"] = json!("changed by somebody else");
    let changed = workshop.put(&format!("{path}/{id}?revision={revision}"), &record).await;
    assert_eq!(changed.status, StatusCode::OK, "{}", changed.text());
    let reply = workshop.post(&format!("/api/undo/{batch}"), &json!({})).await;
    assert_eq!(reply.status, StatusCode::CONFLICT, "{}", reply.text());
    let now = workshop.get(&format!("{path}/{id}")).await.json();
    assert_eq!(now["record"]["note"], "changed by somebody else");
}

#[tokio::test]
async fn what_was_done_is_told_the_last_first() {
    let workshop = Workshop::demo();
    for what in WRITES {
        write(&workshop, what).await;
    }
    let told = workshop.get("/api/history").await.json();
    let told: Vec<&str> = told.as_array().unwrap().iter().map(|one| one["text"].as_str().unwrap()).collect();
    assert_eq!(told.len(), WRITES.len() + 1, "and the demo: {told:?}");
    let picked =
        workshop.get("/api/findings").await.json()["entries"][0]["name"].as_str().unwrap().to_owned();
    assert_eq!(told[0], format!("Added cutting list: “{picked}”."));
    for (n, words) in [
        (1, "3.5 g of scrap, copper clean."),
        (4, "100 mm corrected"),
        (5, "120 mm tried, “"),
        (6, "4 m bought, “New”"),
        (7, "Archived pliers “"),
        (15, "Added ring plan “Other name”."),
    ] {
        assert!(told[n].contains(words), "{n}: {told:?}");
    }
    for sentence in told {
        assert!(
            sentence.ends_with('.') && sentence.chars().next().unwrap().is_uppercase()
                || sentence.starts_with(|c: char| c.is_ascii_digit()),
            "{sentence}"
        );
    }
}

/// One person brings in nothing new and takes that back; what another wrote meanwhile stays.
#[tokio::test]
async fn the_number_of_a_write_that_added_nothing_is_never_anothers() {
    let workshop = Workshop::demo();
    let rack = workshop.get("/api/saved/all.json").await.text();
    let brought = workshop.ask("POST", "/api/import", rack).await.json();
    let plan = json!({
        "name": "Another's",
        "request": { "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } },
    });
    let kept = workshop.post("/api/plans", &plan).await.json();
    let nothing = brought["undo"].as_i64();
    assert_ne!(nothing, kept["undo"].as_i64());
    if let Some(nothing) = nothing {
        workshop.post(&format!("/api/undo/{nothing}"), &json!({})).await;
    }
    let plans = workshop.get("/api/plans?find=Another").await.json();
    assert_eq!(plans["total"], 1, "another's plan was archived");
}

#[tokio::test]
async fn a_copy_of_the_workshop_is_taken_while_it_is_used() {
    let workshop = Workshop::demo();
    let copy = workshop.get("/api/backup").await;
    assert_eq!(copy.status, StatusCode::OK);
    let folder = tempfile::tempdir().unwrap();
    let path = folder.path().join("copy.lorimant");
    std::fs::write(&path, &copy.bytes).unwrap();
    let other = Workshop::of(folder, lorimant_server::Store::open(&path).unwrap());
    assert_eq!(progress(&other).await, progress(&workshop).await);
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(12))]

    /// Writes in any order, undone to the start and done again, are exactly what they were; what another did to things
    /// of his own meanwhile stays through all of it.
    #[test]
    fn any_history_is_undone_to_the_start_and_done_again(
        writes in prop::sample::subsequence(WRITES.to_vec(), 1..WRITES.len()).prop_shuffle(),
        meanwhile in 0..20_usize,
    ) {
        let runtime = tokio::runtime::Runtime::new().unwrap();
        runtime.block_on(async {
            let workshop = Workshop::demo();
            let another = json!({ "name": "Another's", "request": { "kind": "eye-pin",
                "wire": { "metal": "copper", "size_mm": 0.8 } } });
            let theirs = workshop.post("/api/findings", &another).await.json()["entry"].clone();
            let start = progress(&workshop).await;
            let mut batches = vec![];
            for what in &writes {
                batches.push(write(&workshop, what).await);
            }
            let end = progress(&workshop).await;
            let mut back = vec![];
            for (i, batch) in batches.iter().rev().enumerate() {
                if i == meanwhile % batches.len() {
                    // Somebody else, in the middle of it, on a record of his own; he takes it back himself.
                    let path = format!("/api/findings/{}?revision={}", theirs["id"], theirs["revision"]);
                    let mut record = theirs["record"].clone();
                    record["note"] = json!("for another stall");
                    let changed = workshop.put(&path, &record).await;
                    if changed.status == StatusCode::OK {
                        undo(&workshop, changed.json()["undo"].as_i64().unwrap()).await;
                    }
                }
                back.push(undo(&workshop, *batch).await);
            }
            assert_eq!(differing(&start, &progress(&workshop).await), Vec::<String>::new(), "{writes:?}");
            for batch in back.into_iter().rev() {
                undo(&workshop, batch).await;
            }
            assert_eq!(differing(&end, &progress(&workshop).await), Vec::<String>::new(), "{writes:?}");
        });
    }
}

/// One record that cannot be read any more does not make what is written said to be refused.
#[tokio::test]
async fn a_damaged_record_fails_no_write() {
    let workshop = Workshop::demo();
    let path = workshop.folder.path().join("workshop.lorimant");
    let file = rusqlite::Connection::open(&path).unwrap();
    file.execute("UPDATE entries SET record = '{\"spoon\": 1}' WHERE id = (SELECT min(id) FROM entries WHERE shelf = 'rod')", [])
        .unwrap();
    let plan = json!({
        "name": "In spite of it",
        "request": { "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } },
    });
    let kept = workshop.post("/api/plans", &plan).await;
    assert_eq!(kept.status, StatusCode::CREATED, "{}", kept.text());
    let found = workshop.get("/api/plans?find=spite").await.json();
    assert_eq!(found["total"], 1);
}

/// Whoever takes back what others went on with is told what they did, from where and when, and what can be done; nothing
/// changes.
#[tokio::test]
async fn nobody_takes_back_what_others_went_on_with() {
    let workshop = Workshop::empty();
    let refused = async |undo: &Value, words: &[&str]| {
        let before = progress(&workshop).await;
        let reply = workshop.post(&format!("/api/undo/{undo}"), &json!({})).await;
        assert_eq!(reply.status, StatusCode::CONFLICT, "{}", reply.text());
        let text = reply.json()["detail"].as_str().unwrap().to_owned();
        assert!(words.iter().all(|word| text.contains(word)), "{text}");
        assert_eq!(progress(&workshop).await, before);
    };
    let added = async |path: &str, body: Value| {
        let reply = workshop.post(path, &body).await;
        assert_eq!(reply.status, StatusCode::CREATED, "{}", reply.text());
        let added = reply.json();
        let entry = if path == "/api/lots" { &added["lot"] } else { &added["entry"] };
        (entry["id"].clone(), added["undo"].clone())
    };

    // A lot that was cut from.
    let copper = json!({ "name": "copper spool", "wire": { "metal": "copper", "size_mm": 1.0 } });
    let (lot, lot_undo) = added("/api/lots", json!({ "lot": copper, "length_mm": 5000.0 })).await;
    let used = json!({ "kind": "cut", "length_mm": -300.0 });
    let reply = workshop.post(&format!("/api/lots/{lot}/ledger"), &used).await;
    assert!(reply.status.is_success(), "{}", reply.text());
    refused(&lot_undo, &["copper spool", "1 entry in its history", "a program at ", "correct the length"])
        .await;

    // A batch with presses, until they are taken back.
    let hook = json!({ "kind": "hook-clasp", "wire": { "metal": "copper", "size_mm": 1.29 } });
    let (hooks, hooks_undo) = added("/api/findings", json!({ "name": "hooks", "request": hook })).await;
    let (batch, batch_undo) = added("/api/batches", json!({ "entry": hooks, "pieces_n": 5 })).await;
    let press = async |key: &str, happened: &str| {
        let press = json!({ "key": format!("press-{key}"), "step_n": 1, "kind": happened, "n": 1 });
        let reply = workshop.post(&format!("/api/batches/{batch}/events"), &press).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    };
    press("one", "done").await;
    refused(&batch_undo, &["the batch “", "1 press since", "close the batch"]).await;
    press("two", "taken-back").await;
    assert_eq!(workshop.post(&format!("/api/undo/{batch_undo}"), &json!({})).await.status, StatusCode::OK);

    // A check with readings.
    let coil = json!({ "name": "coil", "piece": { "rings": { "wire": { "metal": "copper", "size_mm": 1.0 },
        "mandrel": { "diameter_mm": 5.0 }, "rings_n": 10 } }, "of": "coil", "pieces_n": 3 });
    let (check, check_undo) = added("/api/checks", coil).await;
    let reading = json!({ "press": "reading-1", "piece_n": 1, "key": "coil-inside", "value": 5.1 });
    let reply = workshop.post(&format!("/api/checks/{check}/readings"), &reading).await;
    assert!(reply.status.is_success(), "{}", reply.text());
    refused(&check_undo, &["coil", "1 reading since", "Set the readings aside, or archive the measurement"])
        .await;

    // Something that was changed since.
    let path = format!("/api/findings/{hooks}?revision=1");
    let other = json!({ "name": "hooks for the stall", "request": hook });
    let reply = workshop.put(&path, &other).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    refused(&hooks_undo, &["hooks for the stall", "changed since", "a program at "]).await;
}
