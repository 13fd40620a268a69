//! Chains: planned, relaxed, kept, taken away, put into batches and cut plans.
#![allow(clippy::unwrap_used, missing_docs)]

use axum::http::StatusCode;
use rstest::rstest;
use serde_json::{Value, json};

use crate::common::Workshop;

fn ring() -> Value {
    json!({ "wire": { "metal": "red-brass", "size_mm": 1.2, "temper": "quarter-hard" },
        "mandrel": { "diameter_mm": 5.0 } })
}

fn chain() -> Value {
    json!({ "weave": "byzantine", "ring": ring(), "length_mm": 190.0 })
}

async fn kept(workshop: &Workshop) -> Value {
    let body = json!({ "name": "costume", "request": chain() });
    let reply = workshop.post("/api/chains", &body).await;
    assert_eq!(reply.status, StatusCode::CREATED, "{}", reply.text());
    reply.json()["entry"].clone()
}

#[tokio::test]
async fn every_weave_of_the_trade_is_listed() {
    let workshop = Workshop::empty();
    let weaves = workshop.get("/api/weaves").await.json();
    let of = |word: &str| weaves.as_array().unwrap().iter().find(|one| one["weave"] == word).unwrap().clone();
    assert_eq!(of("byzantine")["rings_per_cell"], 6);
    assert!((of("full-persian-6-in-1")["smallest_ratio"].as_f64().unwrap() - 5.051).abs() < 0.02);
    // What is listed can be sent back as a weave of one's own, and lies the same.
    let own = json!({ "weave": of("one-in-one")["design"], "ratio": 4.0 });
    let lies = workshop.post("/api/chains/relax", &own).await.json();
    assert!((lies["repeat_of_inside"].as_f64().unwrap() - 1.0).abs() < 2e-3, "{lies}");
}

#[rstest]
#[case(json!({ "inside_mm": 5.0, "wire_mm": 1.2 }), true)]
#[case(ring(), true)]
#[case(json!({ "inside_mm": 3.0, "wire_mm": 1.2 }), false)]
#[tokio::test]
async fn a_chain_is_planned_from_rings_planned_or_measured(#[case] ring: Value, #[case] fits: bool) {
    let workshop = Workshop::empty();
    let body = json!({ "weave": "byzantine", "ring": ring, "length_mm": 420.0 });
    let plan = workshop.post("/api/chains/plan", &body).await.json();
    assert_eq!(plan["fits"], fits, "{plan}");
    let n = |field: &str| plan[field].as_u64().unwrap();
    if fits {
        assert_eq!(n("pre_closed_n") + n("open_n"), n("rings_n"));
        assert_eq!(n("rings_n"), 6 * n("cells_n"));
        assert!((plan["chain_length_mm"].as_f64().unwrap() - 420.0).abs() < 5.0);
        assert!(plan["mass_g"].as_f64().unwrap() > 40.0);
    } else {
        assert_eq!(n("rings_n"), 0);
        assert!(plan["text"].as_str().unwrap().contains("at least 3.27"), "{plan}");
    }
}

#[rstest]
#[case(json!({ "weave": "knit", "ring": ring(), "length_mm": 90.0 }), "weave", "no weave “knit”")]
#[case(json!({ "weave": "byzantine", "ring": ring(), "length_mm": 3.0 }), "length_mm", "one repeat of Byzantine")]
#[case(json!({ "weave": "byzantine", "ring": { "inside_mm": 5.0 }, "length_mm": 90.0 }), "ring.wire_mm", "is missing")]
#[case(json!({ "weave": "byzantine", "ring": { "inside_mm": 5.0, "wire_mm": -1.0 }, "length_mm": 90.0 }), "ring.wire_mm", "-1 mm")]
#[case(json!({ "weave": "byzantine", "ring": { "wire": { "metal": "copper", "size_mm": 1.2, "section": "square" },
    "mandrel": { "diameter_mm": 5.0 } }, "length_mm": 90.0 }), "ring.wire.section", "round wire")]
#[tokio::test]
async fn what_cannot_be_planned_says_where(#[case] body: Value, #[case] field: &str, #[case] text: &str) {
    let reply = Workshop::empty().post("/api/chains/plan", &body).await;
    assert_eq!(reply.status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(reply.fault(field).contains(text), "{}", reply.text());
}

/// Twelve rings, each through the next two: it takes half a minute and more to work out.
fn twelve() -> Value {
    let on = |ring: usize, by: usize| json!({ "ring": ring, "through": (ring + by) % 12, "cells_along": i32::from(ring + by >= 12) });
    let links: Vec<Value> = (0..12).flat_map(|ring| [on(ring, 1), on(ring, 2)]).collect();
    json!({ "name": "twelve", "rings": vec!["ring"; 12], "links": links })
}

/// Chains of a weave that takes long to work out are kept, ordered and made into batches by now, and nothing of the file
/// waits for it: every list is there, and says what is still being worked out.
#[tokio::test]
async fn no_reading_waits_for_a_weave_to_be_worked_out() {
    let workshop = Workshop::empty();
    let ring = json!({ "wire": { "metal": "copper", "size_mm": 1.0 }, "mandrel": { "diameter_mm": 4.5 }, "rings_n": 1 });
    let chain = json!({ "weave": "twelve", "own_weave": twelve(), "ring": ring, "length_mm": 200.0 });
    let batch = json!({ "name": "collars", "piece": { "chain": chain } });
    let kept = json!({ "is": "entry", "id": 1, "shelf": "batch", "record": batch, "revision": 1, "archived": false,
        "created_at": "2026-01-02T10:00:00Z", "updated_at": "2026-01-02T10:00:00Z" });
    let lines = [
        json!({ "is": "workshop", "format": "lorimant-workshop", "version": 1 }),
        kept,
        json!({ "is": "end", "lines_n": 2 }),
    ];
    let text: String = lines.iter().map(|line| format!("{line}\n")).collect();
    let reply = workshop.ask("POST", "/api/workshop", text).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    for _ in 0..3 {
        let asked = std::time::Instant::now();
        let batches = workshop.get("/api/batches").await.json();
        assert!(asked.elapsed() < std::time::Duration::from_secs(4), "it waited {:?}", asked.elapsed());
        let fault = batches[0]["fault"].as_str().unwrap();
        assert!(fault.contains("still being worked out"), "{fault}");
    }
}

#[tokio::test]
async fn a_weave_that_cannot_be_says_which_pair_is_in_the_way() {
    let workshop = Workshop::empty();
    // Three rings close together, each through both others and through all of the next cell at two sides.
    let links: Vec<Value> = (0..3)
        .flat_map(|a| (0..3).map(move |b| json!({ "ring": a, "through": b, "cells_along": 4 })))
        .chain([json!({ "ring": 0, "through": 1 }), json!({ "ring": 0, "through": 1, "cells_along": 1 })])
        .chain([json!({ "ring": 1, "through": 2 })])
        .collect();
    let weave = json!({ "name": "knot", "rings": ["ring", "ring", "ring"], "links": links });
    let asked = json!({ "weave": weave, "starts_n": 2 });
    let mut job = workshop.post("/api/chains/relaxing", &asked).await.json();
    while job["working"] == true {
        tokio::time::sleep(std::time::Duration::from_millis(100)).await;
        job = workshop.get(&format!("/api/chains/relaxing/{}", job["job"])).await.json();
    }
    let text = job["faults"][0]["message"].as_str().unwrap();
    assert!(
        text.contains("should go through each other and don't get there. Remove that link, or link others")
            && text.contains("ring "),
        "{text}"
    );
    let apart =
        json!({ "name": "two", "rings": ["ring"], "links": [{ "ring": 0, "through": 0, "cells_along": 2 }] });
    let reply = workshop.post("/api/chains/relax", &json!({ "weave": apart })).await;
    assert!(reply.fault("weave.links").contains("falls apart into 2 chains"), "{}", reply.text());
}

#[tokio::test]
async fn relaxing_says_how_far_it_is_and_can_be_stopped() {
    let workshop = Workshop::empty();
    let weave = json!({ "name": "mine", "rings": ["ring", "ring"],
        "links": [{ "ring": 0, "through": 1 }, { "ring": 1, "through": 0, "cells_along": 1 }] });
    let body = json!({ "weave": weave, "starts_n": 400 });
    let job = workshop.post("/api/chains/relaxing", &body).await.json()["job"].as_u64().unwrap();
    let path = format!("/api/chains/relaxing/{job}");
    // Stopped once something was found: it ends with that.
    let found = async |wanted: fn(&Value) -> bool| {
        loop {
            let state = workshop.get(&path).await.json();
            if wanted(&state) {
                return state;
            }
            tokio::task::yield_now().await;
        }
    };
    let far = found(|state| !state["progress"]["smallest_ratio"].is_null()).await;
    assert_eq!(far["progress"]["of_n"], 400);
    workshop.post(&format!("{path}/stop"), &json!({})).await;
    let done = found(|state| state["working"] == false).await;
    assert!((done["relaxed"]["smallest_ratio"].as_f64().unwrap() - 2.0).abs() < 0.1, "{done}");
    assert_eq!(workshop.get("/api/chains/relaxing/999").await.status, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn a_chain_is_kept_revised_and_listed_with_what_else_is() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let path = format!("/api/chains/{}", entry["id"]);
    let longer =
        json!({ "name": "costume", "request": { "weave": "byzantine", "ring": ring(), "length_mm": 420.0 } });
    let written = workshop.put(&format!("{path}?revision=1"), &longer).await;
    assert_eq!(written.status, StatusCode::OK, "{}", written.text());
    // Another window comes too late.
    let late = workshop.put(&format!("{path}?revision=1"), &longer).await;
    assert_eq!(late.status, StatusCode::CONFLICT);
    let revisions = workshop.get(&format!("{path}/revisions")).await.json();
    assert_eq!(revisions.as_array().unwrap().len(), 2);
    let listed = workshop.get("/api/saved?which=chains").await.json();
    assert!(
        listed["entries"][0]["description"].as_str().unwrap().starts_with("1 chain of 42 cm in Byzantine")
    );
    // What cannot be made is not kept.
    let stiff = json!({ "name": "no", "request": { "weave": "full-persian-6-in-1", "ring": ring(), "length_mm": 420.0 } });
    let refused = workshop.post("/api/chains", &stiff).await;
    assert!(refused.text().contains("at least 5.05"), "{}", refused.text());
}

#[tokio::test]
async fn a_chain_goes_into_the_cut_plan_and_onto_the_bench() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await["id"].clone();
    let picked = workshop.post("/api/picks", &json!({ "entry": entry, "pieces_n": 2 })).await;
    assert_eq!(picked.status, StatusCode::CREATED, "{}", picked.text());
    let wanted = workshop.get("/api/cut-plans/wanted").await;
    let text = wanted.text();
    assert!(text.contains("red-brass") && text.contains("costume"), "{text}");
    let batch = workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": 1 })).await;
    assert_eq!(batch.status, StatusCode::CREATED, "{}", batch.text());
    let id = batch.json()["entry"]["id"].clone();
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    let tasks = led["tasks"].as_array().unwrap();
    let link = tasks.iter().position(|task| task["counted"] == "placing").unwrap();
    let plan = workshop
        .post("/api/chains/plan", &json!({ "weave": "byzantine", "ring": ring(), "length_mm": 190.0 }))
        .await
        .json();
    assert_eq!(tasks[link]["n"], plan["open_n"]);
    let press = async |i: usize, n: &Value, key: &str| {
        let body = json!({ "key": format!("press-{key}-{i}"), "step_n": i + 1, "happened": "done", "n": n });
        workshop.post(&format!("/api/batches/{id}/events"), &body).await
    };
    for (i, task) in tasks.iter().enumerate().take(link) {
        assert_eq!(press(i, &task["n"], "all").await.status, StatusCode::OK);
    }
    // Ring by ring; a scrapped one is replaced, and as many are still put in.
    assert_eq!(press(link, &json!(10), "ten").await.status, StatusCode::OK);
    let scrapped = json!({ "key": "press-scrapped", "step_n": link + 1, "happened": "spoiled", "n": 1, "reason": "bent" });
    let reply = workshop.post(&format!("/api/batches/{id}/events"), &scrapped).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    let progress =
        workshop.get(&format!("/api/batches/{id}")).await.json()["progress"]["tasks"][link].clone();
    assert_eq!(progress["done_n"], 10);
    assert_eq!(progress["left_n"].as_u64().unwrap(), plan["open_n"].as_u64().unwrap() - 10);
    let next =
        workshop.post("/api/chains/placing", &json!({ "request": chain(), "done_n": 10 })).await.json();
    assert_eq!((&next["placing"]["row"], &next["placing"]["ring_in_row_n"]), (&json!(3), &json!(3)));
    // A lost place: two whole rows were counted.
    let counted = workshop
        .post("/api/chains/placing", &json!({ "request": chain(), "done_n": 10, "rows_n": 2 }))
        .await
        .json();
    assert_eq!(counted["done_n"], 8);
}

#[tokio::test]
async fn a_chain_is_taken_away_and_brought_back() {
    let workshop = Workshop::empty();
    let kept = json!({ "name": "costume", "request": chain() });
    for file in
        ["plan.pdf", "drawing.svg", "chain.stl", "rings.csv", "placings.csv", "chain.json", "weave.json"]
    {
        let reply = workshop.post(&format!("/api/chains/export/{file}"), &kept).await;
        assert_eq!(reply.status, StatusCode::OK, "{file}: {}", reply.text());
    }
    let document = workshop.post("/api/chains/export/chain.json", &kept).await.json();
    let other = Workshop::empty();
    let brought = other.post("/api/import", &document).await;
    assert_eq!(brought.status, StatusCode::CREATED, "{}", brought.text());
    assert_eq!(brought.json()["chains"][0]["record"]["request"]["length_mm"], 190.0);
    let weave = workshop.post("/api/chains/export/weave.json", &kept).await.json();
    let brought = other.post("/api/import", &weave).await.json();
    assert_eq!(brought["weaves"][0]["record"]["rings"].as_array().unwrap().len(), 6, "{brought}");
    // One line of rings to make, as many as the plan says.
    let table = workshop.post("/api/chains/export/rings.csv", &kept).await.text();
    let mut rows = csv::Reader::from_reader(table.as_bytes());
    let row = rows.records().next().unwrap().unwrap();
    let plan = workshop.post("/api/chains/plan", &chain()).await.json();
    assert_eq!(row[1].parse::<u64>().unwrap(), plan["rings_n"].as_u64().unwrap());
    let missing = workshop.post("/api/chains/export/chain.obj", &kept).await;
    assert!(missing.text().contains("chain.stl"), "{}", missing.text());
}

#[tokio::test]
async fn backwards_from_the_rods_there_are_and_the_rings_there_are() {
    let workshop = Workshop::demo();
    let back =
        workshop.post("/api/chains/backwards", &json!({ "request": chain(), "across_mm": 7.0 })).await.json();
    let rods = back["rods"].as_array().unwrap();
    assert!(rods.len() > 5 && rods[0]["suits"] == "usual", "{back}");
    assert!(!back["wires"].as_array().unwrap().is_empty());
    let bag = json!({ "inside_mm": 5.0, "wire_mm": 1.2, "rings_n": 300 });
    let gives = workshop.post("/api/chains/from-rings", &bag).await.json();
    assert!(gives.as_array().unwrap().iter().any(|one| one["weave"] == "byzantine" && one["cells_n"] == 50));
    let none = workshop
        .post("/api/chains/from-rings", &json!({ "inside_mm": 5.0, "wire_mm": 1.2, "rings_n": 0 }))
        .await;
    assert_eq!(none.status, StatusCode::UNPROCESSABLE_ENTITY);
}
