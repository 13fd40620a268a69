//! Keeping plans: revisions, undo, lists, imports, concurrent writers.
#![allow(clippy::unwrap_used, missing_docs)]

use std::sync::Arc;

use crate::common::Workshop;
use axum::http::StatusCode;
use lorimant_server::{Store, plan_schema};
use rstest::rstest;
use serde_json::{Value, json};

fn plan(name: &str) -> Value {
    json!({
        "name": name,
        "note": "",
        "request": { "wire": { "metal": "brass", "size_mm": 0.8 }, "mandrel": { "diameter_mm": 4 }, "rings_n": 60 },
    })
}

#[tokio::test]
async fn a_plan_is_kept_changed_put_away_and_every_step_undone() {
    let workshop = Workshop::empty();
    let kept = workshop.post("/api/plans", &plan("Collars")).await;
    assert_eq!(kept.status, StatusCode::CREATED, "{}", kept.text());
    let kept = kept.json();
    let id = kept["entry"]["id"].as_i64().unwrap();
    assert!(kept["entry"]["description"].as_str().unwrap().starts_with("60 rings of soft brass"));

    let renamed = workshop.put(&format!("/api/plans/{id}?revision=1"), &plan("Cuffs")).await.json();
    assert_eq!(renamed["entry"]["record"]["name"], "Cuffs");
    let away = json!({ "revision": 2, "archived": true });
    let away = workshop.post(&format!("/api/plans/{id}/archive"), &away).await.json();
    assert_eq!(workshop.get("/api/plans").await.json()["total"], 0);
    assert_eq!(workshop.get("/api/plans?archived=true").await.json()["total"], 1);

    let undo = |written: &Value| format!("/api/undo/{}", written["undo"]);
    let undone = workshop.post(&undo(&away), &json!({})).await;
    assert_eq!(undone.status, StatusCode::OK, "{}", undone.text());
    assert_eq!(workshop.get("/api/plans").await.json()["total"], 1);
    // What came after the renaming was taken back: it can be taken back too, and done again.
    let late = workshop.post(&undo(&renamed), &json!({})).await;
    assert_eq!(late.status, StatusCode::OK, "{}", late.text());
    assert_eq!(workshop.get(&format!("/api/plans/{id}")).await.json()["record"]["name"], "Collars");
    // Putting it away again would put away another plan than it was then.
    assert_eq!(workshop.post(&undo(&undone.json()), &json!({})).await.status, StatusCode::CONFLICT);
    let again = workshop.post(&undo(&late.json()), &json!({})).await;
    assert_eq!(again.status, StatusCode::OK, "{}", again.text());
    // Undoing the undoing puts it away again.
    let redone = workshop.post(&undo(&undone.json()), &json!({})).await;
    assert_eq!(redone.status, StatusCode::OK);
    assert_eq!(workshop.get("/api/plans").await.json()["total"], 0);
    assert_eq!(workshop.post("/api/undo/999", &json!({})).await.status, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn an_edit_from_an_old_revision_is_refused_with_what_stands_there() {
    let workshop = Workshop::empty();
    let id = workshop.post("/api/plans", &plan("First")).await.json()["entry"]["id"].as_i64().unwrap();
    workshop.put(&format!("/api/plans/{id}?revision=1"), &plan("Hers")).await;
    let his = workshop.put(&format!("/api/plans/{id}?revision=1"), &plan("His")).await;
    assert_eq!(his.status, StatusCode::CONFLICT);
    assert_eq!(his.json()["current"]["record"]["name"], "Hers");
    assert_eq!(workshop.get(&format!("/api/plans/{id}")).await.json()["record"]["name"], "Hers");
}

#[tokio::test]
async fn of_many_writers_from_one_revision_exactly_one_wins() {
    let workshop = Arc::new(Workshop::empty());
    let id = workshop.post("/api/plans", &plan("Shared")).await.json()["entry"]["id"].as_i64().unwrap();
    let writers = (0..16).map(|i| {
        let workshop = workshop.clone();
        tokio::spawn(async move {
            workshop.put(&format!("/api/plans/{id}?revision=1"), &plan(&format!("Writer {i}"))).await.status
        })
    });
    let mut won = 0;
    for writer in writers.collect::<Vec<_>>() {
        match writer.await.unwrap() {
            StatusCode::OK => won += 1,
            other => assert_eq!(other, StatusCode::CONFLICT),
        }
    }
    assert_eq!(won, 1);
    assert_eq!(workshop.get(&format!("/api/plans/{id}")).await.json()["revision"], 2);
}

/// Whoever writes last leaves the workshop as the file has it, however many write at once.
#[tokio::test]
async fn many_writers_leave_the_tools_in_use_as_the_file_has_them() {
    let workshop = Arc::new(Workshop::empty());
    for round in 0..4 {
        let writers: Vec<_> = (0..12)
            .map(|i| {
                let workshop = workshop.clone();
                tokio::spawn(async move {
                    let rod = json!({ "name": format!("rod {round} {i}"), "diameter_mm": 2.0 + 0.25 * f64::from(i) });
                    workshop.post("/api/rods", &rod).await.status
                })
            })
            .collect();
        for writer in writers {
            assert_eq!(writer.await.unwrap(), StatusCode::CREATED);
        }
        let kept = workshop.get("/api/rods?most=500").await.json()["total"].as_u64().unwrap();
        let request =
            json!({ "wire": { "metal": "copper", "size_mm": 1.0 }, "mandrel": { "diameter_mm": 5.0 } });
        let sheet = workshop.post("/api/rings/sheet", &request).await.json();
        assert_eq!(sheet["result"]["rods"].as_array().unwrap().len() as u64, kept);
    }
}

#[tokio::test]
async fn lists_page_and_find_taking_signs_literally() {
    let workshop = Workshop::empty();
    for i in 0..7 {
        workshop.post("/api/plans", &plan(&format!("Plan {i} of 100%"))).await;
    }
    let page = workshop.get("/api/plans?most=3&skip=5").await.json();
    assert_eq!((page["total"].as_i64(), page["entries"].as_array().unwrap().len()), (Some(7), 2));
    let found = |find: &'static str| {
        let workshop = &workshop;
        async move { workshop.get(&format!("/api/plans?find={find}")).await.json()["total"].as_i64().unwrap() }
    };
    assert_eq!(found("plan+3").await, 1);
    assert_eq!(found("brass").await, 7);
    assert_eq!(found("100%25").await, 7);
    assert_eq!(found("%25rass").await, 0);
    assert_eq!(found("_lan").await, 0);
}

#[tokio::test]
async fn what_cannot_be_made_cannot_be_kept() {
    let workshop = Workshop::empty();
    let mut bad = plan("  ");
    bad["request"]["wire"]["size_mm"] = json!(9);
    let reply = workshop.post("/api/plans", &bad).await;
    assert_eq!(reply.status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(reply.fault("name").contains("Enter a name"));
    assert!(reply.fault("request.wire.size_mm").contains("thicker"));
    assert_eq!(workshop.get("/api/plans").await.json()["total"], 0);
}

#[tokio::test]
async fn what_goes_out_as_json_fits_the_published_schema_and_comes_back_in_the_same() {
    let demo = Workshop::demo();
    let out = demo.get("/api/saved/all.json").await.json();
    let schema: Value = serde_json::from_str(&plan_schema()).unwrap();
    let validator = jsonschema::validator_for(&schema).unwrap();
    let misfits: Vec<String> = validator.iter_errors(&out).map(|misfit| misfit.to_string()).collect();
    assert!(misfits.is_empty(), "{misfits:?}");
    assert!(
        !validator.is_valid(&json!({ "format": "lorimant-plans", "version": 1, "plans": [{ "name": 1 }] }))
    );

    let other = Workshop::empty();
    let back = other.post("/api/import", &out).await;
    assert_eq!(back.status, StatusCode::CREATED, "{}", back.text());
    assert_eq!(other.get("/api/saved/all.json").await.json(), out);
    // One undo takes the whole import back.
    other.post(&format!("/api/undo/{}", back.json()["undo"]), &json!({})).await;
    assert_eq!(other.get("/api/plans").await.json()["total"], 0);
}

#[tokio::test]
async fn a_broken_import_brings_nothing_in() {
    let workshop = Workshop::empty();
    let mut bad = plan("Bad");
    bad["request"]["rings_n"] = json!(0);
    let document = json!({ "format": "lorimant-plans", "version": 1, "plans": [plan("Good"), bad] });
    let reply = workshop.post("/api/import", &document).await;
    assert!(reply.fault("plans[1].request.rings_n").contains("at least 1"));
    for (document, field) in [
        (json!({ "format": "other", "version": 1, "plans": [plan("x")] }), "format"),
        (json!({ "format": "lorimant-plans", "version": 2, "plans": [plan("x")] }), "version"),
        (json!({ "format": "lorimant-plans", "version": 1, "plans": [] }), "plans"),
        (json!({ "format": "lorimant-plans", "version": 1, "plans": [{ "name": "x" }] }), "plans[0].request"),
    ] {
        assert!(!workshop.post("/api/import", &document).await.fault(field).is_empty());
    }
    assert_eq!(workshop.get("/api/plans").await.json()["total"], 0);
}

#[tokio::test]
async fn tools_are_added_refused_and_taken_over_once() {
    let workshop = Workshop::empty();
    let rod = json!({ "name": "key steel", "shape": "square", "diameter_mm": 6, "corner_mm": 5 });
    assert!(workshop.post("/api/rods", &rod).await.fault("corner_mm").contains("at most 3 mm"));
    let first = workshop.post("/api/start-sets/dowels", &json!({})).await.json();
    let again = workshop.post("/api/start-sets/dowels", &json!({})).await.json();
    assert_eq!((first["added_n"].as_i64(), again["added_n"].as_i64()), (Some(19), Some(0)));
    assert_eq!(workshop.get("/api/rods").await.json()["total"], 19);
    let unknown = workshop.post("/api/start-sets/spoons", &json!({})).await;
    assert_eq!(unknown.status, StatusCode::NOT_FOUND);
    assert!(unknown.text().contains("knitting-needles"));
}

/// A file closed and opened again holds what was kept; a file of a newer program is not touched.
#[tokio::test]
async fn files_are_reopened_and_newer_ones_refused() {
    let workshop = Workshop::demo();
    let total = workshop.get("/api/plans").await.json()["total"].clone();
    let Workshop { folder, store, router } = workshop;
    drop((store, router));
    let path = folder.path().join("workshop.lorimant");
    let again = Workshop::of(folder, Store::open(&path).unwrap());
    assert_eq!(again.get("/api/plans").await.json()["total"], total);
    let Workshop { folder, store, router } = again;
    drop((store, router));
    rusqlite::Connection::open(&path).unwrap().pragma_update(None, "user_version", 99).unwrap();
    let refused = Store::open(&path).err().unwrap().to_string();
    assert!(refused.contains("newer Lorimant"), "{refused}");
    let text = folder.path().join("letter.txt");
    std::fs::write(&text, "not a workshop ".repeat(100)).unwrap();
    assert!(Store::open(&text).is_err());
}

/// Words of the record in any script and case, and no words of the form it is kept in.
#[rstest]
#[case("ΣΠΕΊΡΑ", 1)]
#[case("σπείρα", 1)]
#[case("STRASSENFEST", 1)]
#[case("straßenfest", 1)]
#[case("ёлка", 1)]
#[case("ЁЛКА", 1)]
#[case("phosphor bronze", 1)]
#[case("1.3", 1)]
#[case("request", 0)]
#[case("mandrel", 0)]
#[case("size_mm", 0)]
#[case("%", 0)]
#[tokio::test]
async fn words_of_a_record_are_found_in_every_script(#[case] find: &str, #[case] found: i64) {
    let workshop = Workshop::empty();
    let plan = json!({
        "name": "Σπείρα, Ёлка",
        "note": "for the Straßenfest",
        "request": { "wire": { "metal": "phosphor-bronze", "size_mm": 1.3 }, "mandrel": { "diameter_mm": 5 } },
    });
    workshop.post("/api/plans", &plan).await;
    let find: String = find.bytes().map(|byte| format!("%{byte:02X}")).collect();
    for list in ["plans", "saved"] {
        let total = workshop.get(&format!("/api/{list}?find={find}")).await.json()["total"].clone();
        assert_eq!(total, found, "{list}");
    }
}

#[tokio::test]
async fn nobody_looks_for_more_than_can_be_typed() {
    let workshop = Workshop::empty();
    for path in ["plans", "saved", "lots", "rods"] {
        let refused = workshop.get(&format!("/api/{path}?find={}", "reed".repeat(60))).await;
        assert!(refused.fault("find").contains("at most 200 characters"), "{path}");
    }
}
