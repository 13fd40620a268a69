//! A whole workshop out and into a new file: equal to the last line, whatever was done in it.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{Reply, Workshop};
use axum::http::StatusCode;
use proptest::prelude::*;
use rstest::rstest;
use serde_json::{Value, json};

async fn out(workshop: &Workshop) -> String {
    let reply = workshop.get("/api/workshop.jsonl").await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    reply.text()
}

async fn bring_in(workshop: &Workshop, lines: &str) -> Reply {
    workshop.ask("POST", "/api/workshop", lines.to_owned()).await
}

/// One of a list, if there are any.
async fn one(workshop: &Workshop, path: &str, list: &str, at: usize) -> Option<Value> {
    let found = workshop.get(path).await.json();
    let all = if list.is_empty() { &found } else { &found[list] };
    let all = all.as_array().unwrap();
    (!all.is_empty()).then(|| all[at % all.len()].clone())
}

/// Does one of the things people do; what is refused changes nothing.
async fn act(workshop: &Workshop, what: u8, at: usize, mm: i32) -> Option<()> {
    let number = |of: &Value, field: &str| of[field].as_i64();
    match what {
        0 => {
            let wire = json!({ "metal": "copper", "size_mm": 1.0 });
            let lot = json!({ "name": format!("lot {mm}"), "wire": wire, "price": "9.40" });
            workshop.post("/api/lots", &json!({ "lot": lot, "length_mm": mm.unsigned_abs() + 1000 })).await;
        }
        1 => {
            let lot = number(&one(workshop, "/api/lots", "lots", at).await?, "id")?;
            let line = json!({ "kind": "cut", "length_mm": -mm.abs() });
            workshop.post(&format!("/api/lots/{lot}/ledger"), &line).await;
        }
        2 => {
            let lot = number(&one(workshop, "/api/lots", "lots", at).await?, "id")?;
            let line = json!({ "kind": "corrected", "length_mm": mm, "note": "counted" });
            workshop.post(&format!("/api/lots/{lot}/ledger"), &line).await;
        }
        3 => {
            let lot = number(&one(workshop, "/api/lots", "lots", at).await?, "id")?;
            let line =
                one(workshop, &format!("/api/lots/{lot}/ledger"), "", mm.unsigned_abs() as usize).await?;
            workshop.post(&format!("/api/ledger/{}/reverse", line["id"]), &json!({})).await;
        }
        4 => {
            let batch = number(&one(workshop, "/api/history", "", at).await?, "batch")?;
            workshop.post(&format!("/api/undo/{batch}"), &json!({})).await;
        }
        5 => {
            let plan = one(workshop, "/api/plans", "entries", at).await?;
            let away = json!({ "revision": plan["revision"], "archived": true });
            workshop.post(&format!("/api/plans/{}/archive", plan["id"]), &away).await;
        }
        6 => {
            let plan = one(workshop, "/api/findings", "entries", at).await?;
            let mut record = plan["record"].clone();
            record["name"] = json!("two of one name");
            workshop
                .put(&format!("/api/findings/{}?revision={}", plan["id"], plan["revision"]), &record)
                .await;
        }
        7 => {
            let plan = one(workshop, "/api/findings", "entries", at).await?;
            workshop
                .post("/api/picks", &json!({ "entry": plan["id"], "pieces_n": mm.unsigned_abs() + 1 }))
                .await;
        }
        8 => {
            let pattern = number(&one(workshop, "/api/findings", "entries", at).await?, "id")?;
            let batch = json!({ "entry": pattern, "pieces_n": mm.unsigned_abs() % 90 + 1 });
            workshop.post("/api/batches", &batch).await;
        }
        9 => {
            let batch = number(&one(workshop, "/api/batches", "", at).await?, "id")?;
            let press = json!({ "key": format!("press-{at}-{mm}"), "step_n": 1, "kind": "done", "n": 1 });
            workshop.post(&format!("/api/batches/{batch}/events"), &press).await;
        }
        10 => {
            let check = number(&one(workshop, "/api/checks", "entries", at).await?, "id")?;
            // Figures that decimals cannot write out shortly.
            let value = f64::from(mm.unsigned_abs() % 900) / 7.0 * 0.1 + 1e-9;
            let key =
                workshop.get(&format!("/api/checks/{check}")).await.json()["sheet"]["next"]["key"].clone();
            let reading =
                json!({ "press": format!("reading-{at}-{mm}"), "piece_n": 1, "key": key, "value": value });
            workshop.post(&format!("/api/checks/{check}/readings"), &reading).await;
        }
        11 => {
            let stored = workshop.get("/api/settings").await.json();
            let mut settings = stored["settings"].clone();
            settings["gear"]["barrel_g"] = json!(500.0 + f64::from(mm.abs()) / 3.0);
            workshop.put(&format!("/api/settings?revision={}", stored["revision"]), &settings).await;
        }
        _ => {
            let scrap = json!({ "metal": "copper", "cleanliness": "clean", "mass_g": f64::from(mm) / 100.0 });
            workshop.post("/api/scrap", &scrap).await;
        }
    }
    Some(())
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]

    #[test]
    fn whatever_was_done_a_workshop_goes_out_and_comes_in_the_same(
        deeds in prop::collection::vec((0..13_u8, 0..50_usize, -4000..4000_i32), 1..40),
    ) {
        let runtime = tokio::runtime::Runtime::new().unwrap();
        runtime.block_on(async {
            let workshop = Workshop::demo();
            for (what, at, mm) in deeds {
                act(&workshop, what, at, mm).await;
            }
            let lines = out(&workshop).await;
            let new = Workshop::empty();
            let brought = bring_in(&new, &lines).await;
            assert_eq!(brought.status, StatusCode::OK, "{}", brought.text());
            assert_eq!(out(&new).await, lines);
            // What was done there can be taken back here.
            let (here, there) = (workshop.get("/api/history").await, new.get("/api/history").await);
            assert_eq!(here.text(), there.text());
        });
    }
}

#[tokio::test]
async fn what_is_here_already_is_left_alone_and_said_to_be() {
    let workshop = Workshop::demo();
    let lines = out(&workshop).await;
    let again = bring_in(&workshop, &lines).await;
    assert_eq!(again.json()["text"], "All of this is here already. Nothing was changed.");
    assert_eq!(out(&workshop).await, lines);
}

#[tokio::test]
async fn a_workshop_with_things_of_its_own_is_not_written_over() {
    let (workshop, other) = (Workshop::demo(), Workshop::demo());
    act(&other, 0, 0, 500).await;
    let before = out(&other).await;
    let refused = bring_in(&other, &out(&workshop).await).await;
    assert!(refused.fault("file").contains("This workshop already has data, and a whole one can only be imported into an empty one. Start the program with a new file (--data) and import it there. Plans and stock can be imported on their own"), "{}", refused.text());
    assert_eq!(out(&other).await, before);
}

/// Whatever is wrong with a file is said with its line, and nothing of it comes in.
#[rstest]
#[case::broken_off(|lines: &mut Vec<String>| { lines.pop(); }, "breaks off here")]
#[case::no_heading(|lines: &mut Vec<String>| { lines.remove(0); }, "Line 1: A workshop starts with its heading")]
#[case::a_line_left_out(|lines: &mut Vec<String>| { lines.remove(lines.len() - 2); }, "lines before the end")]
#[case::no_json(|lines: &mut Vec<String>| lines[4] = "{ \"is\": ".to_owned(), "Line 5: ")]
#[case::unknown(|lines: &mut Vec<String>| lines[4] = "{\"is\":\"spoon\"}".to_owned(), "Line 5: Unknown variant")]
#[case::a_stranger(|lines: &mut Vec<String>| lines[0] = "{\"is\":\"workshop\",\"format\":\"songs\",\"version\":1}".to_owned(), "Line 1: This must be the heading")]
#[case::newer(|lines: &mut Vec<String>| lines[0] = lines[0].replace(":1}", ":2}"), "Line 1: This must be the heading")]
#[case::unsound(|lines: &mut Vec<String>| change(lines, "\"diameter_mm\":", "\"diameter_mm\":-"), "negative")]
#[case::overdrawn(|lines: &mut Vec<String>| change(lines, "\"amount\":", "\"amount\":-"), "This does not fit the lines before it")]
#[case::a_number_past_all(|lines: &mut Vec<String>| edit(lines, "batch", "id", json!(i64::MAX)), "is not a valid id; it must be from 1")]
#[case::a_reading_past_all(|lines: &mut Vec<String>| edit(lines, "reading", "value", json!(1e308)), "is not a reading")]
#[case::a_kind_of_nothing(|lines: &mut Vec<String>| change(lines, "\"kind\":\"bought\"", "\"kind\":\"found\""), "“found” is not a kind of stock change")]
#[case::no_moment(|lines: &mut Vec<String>| change(lines, "\"made_at\":\"", "\"made_at\":\"once "), "is not a date and time")]
#[tokio::test]
async fn a_damaged_file_brings_nothing_in(#[case] damage: fn(&mut Vec<String>), #[case] says: &str) {
    let lines = out(&Workshop::demo()).await;
    let mut lines: Vec<String> = lines.lines().map(str::to_owned).collect();
    damage(&mut lines);
    let new = Workshop::empty();
    let before = out(&new).await;
    let refused = bring_in(&new, &lines.join("\n")).await;
    assert_eq!(refused.status, StatusCode::UNPROCESSABLE_ENTITY, "{}", refused.text());
    let text = refused.json()["detail"].as_str().unwrap().to_owned();
    assert!(text.contains(says), "{text}");
    assert_eq!(out(&new).await, before);
}

/// Changes the first line that has this.
fn change(lines: &mut [String], from: &str, to: &str) {
    let line = lines.iter_mut().find(|line| line.contains(from)).unwrap();
    *line = line.replacen(from, to, 1);
}

/// Changes a field of the first line of a kind.
fn edit(lines: &mut [String], is: &str, field: &str, to: Value) {
    let begins = format!("{{\"is\":\"{is}\"");
    let line = lines.iter_mut().find(|line| line.starts_with(&begins)).unwrap();
    let mut edited: Value = serde_json::from_str(line).unwrap();
    edited[field] = to;
    *line = edited.to_string();
}

/// Every line is as the published schema says, and the schema knows no field that is not there.
#[tokio::test]
async fn every_line_is_as_its_schema_says() {
    let schema: Value = serde_json::from_str(&lorimant_server::line_schema()).unwrap();
    let schema = jsonschema::validator_for(&schema).unwrap();
    let lines = out(&Workshop::demo()).await;
    let mut kinds = std::collections::BTreeSet::new();
    for line in lines.lines() {
        let line: Value = serde_json::from_str(line).unwrap();
        assert!(schema.is_valid(&line), "{line}");
        kinds.insert(line["is"].as_str().unwrap().to_owned());
    }
    assert_eq!(kinds.len(), 9, "{kinds:?}");
    for wrong in [json!({ "is": "song" }), json!({ "is": "ledger", "id": 1 }), json!({ "is": "end" })] {
        assert!(!schema.is_valid(&wrong), "{wrong}");
    }
}
