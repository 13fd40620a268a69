//! Files of every earlier version come up to date with all that was kept in them.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::Workshop;
use axum::http::StatusCode;
use lorimant_server::Store;
use rstest::rstest;
use serde_json::json;

fn opened(version: u32) -> Workshop {
    let folder = tempfile::tempdir().unwrap();
    let path = folder.path().join("workshop.lorimant");
    let frozen = format!("{}/tests/frozen/version-{version}.lorimant", env!("CARGO_MANIFEST_DIR"));
    std::fs::copy(frozen, &path).unwrap();
    Workshop::of(folder, Store::open(&path).unwrap())
}

#[rstest]
#[tokio::test]
async fn what_was_kept_is_there_and_can_be_gone_on_with(#[values(1, 2, 3)] version: u32) {
    let workshop = opened(version);
    let settings = workshop.get("/api/settings").await.json();
    assert_eq!(settings["settings"]["workshop_name"], "Old");
    assert_eq!(settings["settings"]["hour_rate"], "0", "what came later is as in a new file");
    let plans = workshop.get("/api/plans").await.json();
    assert_eq!(
        (&plans["total"], &plans["entries"][0]["record"]["note"]),
        (&json!(1), &json!("for the chorus"))
    );
    assert_eq!(workshop.get("/api/rods").await.json()["entries"][0]["record"]["diameter_mm"], 5.0);
    let patterns = workshop.get("/api/findings").await.json();
    assert_eq!(patterns["total"], u32::from(version >= 2));
    if version >= 2 {
        // It says every dimension it was kept with, so that it stays this piece.
        let request = &patterns["entries"][0]["record"]["request"];
        let kind: lorimant_core::pattern::Kind = request["kind"].as_str().unwrap().parse().unwrap();
        assert!(kind.0.parameters.iter().all(|parameter| request["parameters"][parameter.name].is_number()));
    }
    let lots = workshop.get("/api/lots").await.json();
    assert_eq!(lots["total"], u32::from(version >= 3));
    if version >= 3 {
        assert_eq!(lots["lots"][0]["balance"]["left_mm"], 4880.0, "5 m bought, two of 60 mm cut");
    }

    let pin = json!({ "name": "New", "request": { "kind": "eye-pin", "wire": { "metal": "copper", "size_mm": 0.8 } } });
    let kept = workshop.post("/api/findings", &pin).await;
    assert_eq!(kept.status, StatusCode::CREATED);
    let id = kept.json()["entry"]["id"].as_i64().unwrap();
    let revisions = workshop.get(&format!("/api/findings/{id}/revisions")).await.json();
    assert_eq!(revisions.as_array().unwrap().len(), 1);
}

#[tokio::test]
async fn what_an_older_program_did_can_still_be_undone() {
    let workshop = opened(3);
    assert_eq!(workshop.post("/api/undo/5", &json!({})).await.status, StatusCode::OK);
    let lots = workshop.get("/api/lots").await.json();
    assert_eq!(lots["lots"][0]["balance"]["left_mm"], 5000.0);
}

/// A batch that an older program began goes on where it was, is bagged, and covers what is ordered.
#[tokio::test]
async fn a_batch_of_an_older_program_goes_on() {
    let workshop = opened(8);
    assert_eq!(workshop.get("/api/settings").await.json()["settings"]["workshop_name"], "Old");
    let rows = workshop.get("/api/batches").await.json();
    let id = rows[0]["id"].as_i64().unwrap();
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    let at = usize::try_from(led["progress"]["at"].as_u64().unwrap()).unwrap();
    assert_eq!(
        (&led["tasks"][at]["step"]["operation"], &led["progress"]["tasks"][at]["done_n"]),
        (&json!("cut"), &json!(3))
    );
    for (i, task) in led["tasks"].as_array().unwrap().iter().enumerate().skip(at) {
        let n = if i == at { json!(1) } else { task["n"].clone() };
        let press = json!({ "key": format!("press-new-{i}"), "step_n": i + 1, "kind": "done", "n": n });
        let reply = workshop.post(&format!("/api/batches/{id}/events"), &press).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    }
    let lines = json!({ "lines": [{ "piece": led["entry"]["record"]["piece"], "pieces_n": 3 }] });
    assert_eq!(workshop.post("/api/orders", &lines).await.status, StatusCode::CREATED);
    let bag = workshop.post(&format!("/api/batches/{id}/bag"), &json!({})).await;
    assert_eq!(bag.json()["entry"]["record"]["n"], 4, "{}", bag.text());
    assert_eq!(workshop.get("/api/orders").await.json()[0]["state"], "ready");
}

/// An order that was taken when an ear wire was usually longer stays that order.
#[tokio::test]
async fn what_was_ordered_stays_what_it_was() {
    let workshop = opened(14);
    let orders = workshop.get("/api/orders").await.json();
    let finding = |line: usize| &orders[0]["record"]["lines"][line]["piece"]["finding"]["parameters"];
    assert_eq!((&finding(0)["front_mm"], &finding(0)["back_mm"]), (&json!(11.0), &json!(19.0)), "{orders}");
    assert_eq!((&finding(1)["front_mm"], &finding(1)["crown_mm"]), (&json!(11.0), &json!(8.0)), "as chosen");
    // One of today is another, and says all its sizes as well.
    let line = json!({ "name": "New", "pieces_n": 4, "piece": { "finding": {
        "kind": "open-ear-wire", "wire": { "metal": "copper", "size_mm": 0.8 } } } });
    let taken = workshop.post("/api/orders", &json!({ "customer": "Today", "lines": [line] })).await;
    assert_eq!(taken.status, StatusCode::CREATED, "{}", taken.text());
    let new = &taken.json()["entry"]["record"]["lines"][0]["piece"]["finding"]["parameters"];
    assert!(new["front_mm"].as_f64().unwrap() < 11.0 && new["tip_mm"].is_number(), "{new}");
}
