//! Patterns over HTTP: kinds, forming, words, fits, mates, keeping with revisions, refusals.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::Workshop;
use axum::http::StatusCode;
use rstest::rstest;
use serde_json::{Value, json};

fn hook() -> Value {
    json!({ "kind": "open-ear-wire", "wire": { "metal": "sterling-silver", "size_mm": 0.8118, "temper": "half-hard" } })
}

fn kept(name: &str) -> Value {
    json!({ "name": name, "request": hook() })
}

#[tokio::test]
async fn kinds_come_with_their_parameters() {
    let kinds = Workshop::empty().get("/api/finding-kinds").await.json();
    let kinds = kinds.as_array().unwrap();
    assert!(kinds.len() >= 20, "{}", kinds.len());
    for kind in kinds {
        for parameter in kind["parameters"].as_array().unwrap() {
            let [default, min, max] = ["default", "min", "max"].map(|key| parameter[key].as_f64().unwrap());
            assert!(min <= max && default <= max, "{parameter}");
            assert!(parameter["name"].is_string() && parameter["unit"].is_string());
        }
        assert!(!kind["page"]["purpose"].as_str().unwrap().is_empty());
    }
}

#[tokio::test]
async fn forming_gives_lengths_that_add_up() {
    let workshop = Workshop::demo();
    for kind in workshop.get("/api/finding-kinds").await.json().as_array().unwrap() {
        let request = json!({ "kind": kind["kind"], "parameters": {}, "wire": kind["wire"] });
        let reply = workshop.post("/api/findings/form", &request).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
        let form = reply.json();
        let sum: f64 =
            form["segments"].as_array().unwrap().iter().map(|s| s["length_mm"].as_f64().unwrap()).sum();
        assert!((sum - form["developed_mm"].as_f64().unwrap()).abs() < 1e-9 * sum, "{}", kind["kind"]);
        assert!(form["blank_mm"].as_f64().unwrap() > sum);
        // Volume times density: the mass by hand, for round wire.
        let d = kind["wire"]["size_mm"].as_f64().unwrap();
        let per_mm = form["mass_g"].as_f64().unwrap() / sum / (std::f64::consts::PI * d * d / 4.0);
        assert!((0.008..0.0106).contains(&per_mm), "{}: {per_mm}", kind["kind"]);
        for mark in form["marks"].as_array().unwrap() {
            assert!(
                mark["at_mm"].is_number() && mark["angle_deg"].is_number() && mark["tool"].is_string(),
                "{mark}"
            );
        }
    }
}

#[rstest]
#[case(json!({ "parameters": { "loop_mm": -2 } }), "parameters.loop_mm", "negative")]
#[case(json!({ "parameters": { "lopp_mm": 2 } }), "parameters.lopp_mm", "loop_mm")]
#[case(json!({ "kind": "open-ear-wir" }), "kind", "open-ear-wire")]
#[case(json!({ "plier": "golden" }), "plier", "slim round-nose")]
#[case(json!({ "wire": { "metal": "copper", "size_mm": 0 } }), "wire.size_mm", "zero")]
#[case(json!({ "pieces_n": 0 }), "pieces_n", "1 to 100000")]
#[case(json!({ "ends": { "trim_mm": 90 } }), "ends.trim_mm", "20")]
#[tokio::test]
async fn what_cannot_be_formed_is_refused_at_its_field(
    #[case] change: Value,
    #[case] field: &str,
    #[case] says: &str,
) {
    let mut request = hook();
    request.as_object_mut().unwrap().extend(change.as_object().unwrap().clone());
    let reply = Workshop::demo().post("/api/findings/form", &request).await;
    assert!(reply.status.is_client_error(), "{}", reply.text());
    assert_eq!(reply.headers["content-type"], "application/problem+json");
    assert!(reply.fault(field).contains(says), "{}", reply.text());
}

#[tokio::test]
async fn words_are_changed_and_listed() {
    let workshop = Workshop::demo();
    let change = json!({ "request": hook(), "slot": "front_mm", "change": { "typed": "1/2 in" } });
    let sheet = workshop.post("/api/findings/change", &change).await.json();
    assert_eq!(sheet["request"]["parameters"]["front_mm"], 12.7);
    assert!(sheet["text"].as_str().unwrap().contains("front 12.7 mm"));
    let wrong = json!({ "request": hook(), "slot": "front_mm", "change": { "typed": "wide" } });
    let reply = workshop.post("/api/findings/change", &wrong).await;
    assert_eq!(reply.status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(reply.fault("parameters.front_mm").contains("wide"));
    let choices =
        workshop.post("/api/findings/choices", &json!({ "request": hook(), "slot": "plier" })).await.json();
    let labels: Vec<&str> =
        choices.as_array().unwrap().iter().map(|c| c["label"].as_str().unwrap()).collect();
    assert!(labels.contains(&"six-step"), "{labels:?}");
}

#[tokio::test]
async fn a_size_wanted_is_solved_for() {
    let workshop = Workshop::demo();
    let wish = json!({ "request": hook(), "targets": [{ "measure": "blank", "mm": 60.0 }] });
    let sheet = workshop.post("/api/findings/fit", &wish).await.json();
    let exact = sheet["result"]["form"]["blank_exact_mm"].as_f64().unwrap();
    assert!((exact - 60.0).abs() < 1e-6, "{exact}");
    let wish = json!({ "request": hook(), "targets": [{ "measure": "height", "mm": 2.0 }] });
    let reply = workshop.post("/api/findings/fit", &wish).await;
    assert!(reply.fault("targets[0].mm").contains("cannot be reached"), "{}", reply.text());
}

#[tokio::test]
async fn another_wire_and_a_mate() {
    let workshop = Workshop::demo();
    let wish = json!({ "request": hook(), "wire": { "metal": "copper", "size_mm": 1.6236 } });
    let transferred = workshop.post("/api/findings/transfer", &wish).await.json();
    let front = transferred["request"]["parameters"]["front_mm"].as_f64().unwrap();
    assert!((front - 18.0).abs() < 1e-6, "twice the wire, twice the front: {front}");
    let ring = json!({ "wire": { "metal": "copper", "size_mm": 2.5 }, "mandrel": { "diameter_mm": 8 }, "rings_n": 1 });
    let pair = json!({ "first": { "finding": hook() }, "second": { "rings": ring } });
    let fits = workshop.post("/api/findings/mate", &pair).await.json();
    assert!(
        fits.as_array().unwrap().iter().any(|fit| fit["ok"] == false),
        "2.5 mm wire in a 2.2 mm loop: {fits}"
    );
}

#[tokio::test]
async fn a_kept_pattern_keeps_its_revisions() {
    let workshop = Workshop::empty();
    let written = workshop.post("/api/findings", &kept("Sprites")).await.json();
    let id = written["entry"]["id"].as_i64().unwrap();
    let mut changed = kept("Sprites, longer");
    changed["request"]["parameters"] = json!({ "front_mm": 14 });
    let again = workshop.put(&format!("/api/findings/{id}?revision=1"), &changed).await;
    assert_eq!(again.status, StatusCode::OK);
    // Two windows cannot overwrite each other.
    let conflict = workshop.put(&format!("/api/findings/{id}?revision=1"), &changed).await;
    assert_eq!(conflict.status, StatusCode::CONFLICT);
    let archive = json!({ "revision": 2, "archived": true });
    workshop.post(&format!("/api/findings/{id}/archive"), &archive).await;
    let revisions = workshop.get(&format!("/api/findings/{id}/revisions")).await.json();
    let numbers: Vec<i64> =
        revisions.as_array().unwrap().iter().map(|r| r["revision"].as_i64().unwrap()).collect();
    assert_eq!(numbers, [3, 2, 1]);
    assert_eq!(revisions[2]["record"]["name"], "Sprites");
    assert_eq!(revisions[1]["record"]["request"]["parameters"]["front_mm"], 14.0);
    assert!(revisions[2]["description"].as_str().unwrap().contains("front 9 mm"));
    // Undoing the edit makes a revision like the first, and loses none.
    let undo = workshop.post("/api/undo/3", &json!({})).await;
    assert_eq!(undo.status, StatusCode::OK, "{}", undo.text());
    let undo = workshop.post("/api/undo/2", &json!({})).await;
    assert_eq!(undo.status, StatusCode::OK, "{}", undo.text());
    let now = workshop.get(&format!("/api/findings/{id}")).await.json();
    assert_eq!((&now["record"]["name"], &now["revision"]), (&json!("Sprites"), &json!(5)));
    assert_eq!(workshop.get("/api/findings/999/revisions").await.status, StatusCode::NOT_FOUND);
}

#[rstest]
#[case(json!({ "name": " ", "request": hook() }), "name", "Enter a name")]
#[case(json!({ "name": "x".repeat(81), "request": hook() }), "name", "80")]
#[case(json!({ "name": "x", "request": { "kind": "eye-pin", "parameters": { "stem_mm": 900 }, "wire": { "metal": "copper", "size_mm": 0.8 } } }), "request.parameters.stem_mm", "200")]
#[case(json!({ "name": "x", "request": hook(), "colour": "red" }), "colour", "colour")]
#[tokio::test]
async fn what_cannot_be_kept_is_refused(#[case] record: Value, #[case] field: &str, #[case] says: &str) {
    let reply = Workshop::empty().post("/api/findings", &record).await;
    assert!(reply.status.is_client_error());
    assert!(reply.fault(field).contains(says), "{}", reply.text());
}

#[tokio::test]
async fn thumbnails_are_drawn_for_what_can_be_made() {
    let mut broken = hook();
    broken["parameters"] = json!({ "loop_mm": -1 });
    let drawn = Workshop::empty()
        .post("/api/thumbnails", &json!({ "pieces": [{ "finding": hook() }, { "finding": broken }] }))
        .await
        .json();
    assert!(drawn[0]["cut"].as_str().unwrap().starts_with("cut 44.5 mm, mark at"), "{}", drawn[0]["cut"]);
    assert!(drawn[1].is_null());
    let many = vec![json!({ "finding": hook() }); 201];
    let refused = Workshop::empty().post("/api/thumbnails", &json!({ "pieces": many })).await;
    assert!(refused.fault("pieces").contains("at most 200"));
}

#[tokio::test]
async fn pliers_are_kept_changed_removed_and_used() {
    let workshop = Workshop::empty();
    let plier = json!({ "name": "old faithful", "jaws": "round-nose", "tip_mm": 1.0, "base_mm": 6.0, "length_mm": 25 });
    let written = workshop.post("/api/pliers", &plier).await.json();
    let form = workshop.post("/api/findings/form", &hook()).await.json();
    assert_eq!(form["marks"][0]["tool"], "old faithful");
    // (Ø − 1)/5 × 25 from the tip.
    let (tool, jaw) =
        (form["marks"][0]["tool_mm"].as_f64().unwrap(), form["marks"][0]["jaw_mm"].as_f64().unwrap());
    assert!((jaw - (tool - 1.0) * 5.0).abs() < 1e-9);
    let id = written["entry"]["id"].as_i64().unwrap();
    let wrong = json!({ "name": "old faithful", "jaws": "round-nose", "tip_mm": 7.0, "base_mm": 6.0 });
    let refused = workshop.put(&format!("/api/pliers/{id}?revision=1"), &wrong).await;
    assert!(refused.fault("base_mm").contains("no thicker than the tip"));
    let away = workshop
        .post(&format!("/api/pliers/{id}/archive"), &json!({ "revision": 1, "archived": true }))
        .await;
    assert_eq!(away.status, StatusCode::OK);
    let form = workshop.post("/api/findings/form", &hook()).await.json();
    assert_ne!(form["marks"][0]["tool"], "old faithful");
}

#[tokio::test]
async fn patterns_go_out_and_come_back_in() {
    let workshop = Workshop::demo();
    let out = workshop.get("/api/saved/all.json").await;
    let schema: Value = serde_json::from_str(&lorimant_server::plan_schema()).unwrap();
    let valid = jsonschema::validator_for(&schema).unwrap();
    assert!(valid.is_valid(&out.json()), "what is given away keeps to the published schema");
    let n = out.json()["patterns"].as_array().unwrap().len();
    let empty = Workshop::empty();
    let brought = empty.post("/api/import", &out.json()).await;
    assert_eq!(brought.status, StatusCode::CREATED, "{}", brought.text());
    assert_eq!(brought.json()["patterns"].as_array().unwrap().len(), n);
    let again = empty.get("/api/saved/all.json").await.json();
    assert_eq!(again["patterns"], out.json()["patterns"]);
}

#[rstest]
#[case("kind", json!("hat"), "patterns[0].request.kind")]
#[case("parameters", json!({ "loop_mm": "wide" }), "patterns[0].request.parameters.loop_mm")]
#[case("parameters", json!({ "loop_mm": 99 }), "patterns[0].request.parameters.loop_mm")]
#[case("sparkle", json!(true), "patterns[0].request.sparkle")]
#[tokio::test]
async fn a_file_with_unknown_parts_brings_nothing_in(
    #[case] key: &str,
    #[case] value: Value,
    #[case] field: &str,
) {
    let workshop = Workshop::empty();
    let mut record = kept("Odd");
    record["request"][key] = value;
    let document = json!({ "format": "lorimant-plans", "version": 1, "patterns": [record, kept("Fine")] });
    let reply = workshop.post("/api/import", &document).await;
    assert!(reply.status.is_client_error());
    let _ = reply.fault(field);
    assert_eq!(workshop.get("/api/findings").await.json()["total"], 0);
}
