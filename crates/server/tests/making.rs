//! The route of a piece over the API: enough to make it by, agreeing with the plan, and each thing that cannot be said.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::Workshop;
use axum::http::StatusCode;
use rstest::rstest;
use serde_json::{Value, json};

fn rings() -> Value {
    json!({
        "wire": { "metal": "copper", "size_mm": 1.0237 },
        "mandrel": { "diameter_mm": 5 },
        "rings_n": 40,
        "cutting": { "method": "single-snip" },
    })
}

fn words(route: &Value) -> Vec<String> {
    let operations = route["operations"].as_array().unwrap();
    operations.iter().map(|one| one["operation"].as_str().unwrap().to_owned()).collect()
}

#[tokio::test]
async fn a_ring_plan_and_its_route_agree() {
    let workshop = Workshop::empty();
    let plan = workshop.post("/api/rings/plan", &rings()).await.json();
    let route = workshop.post("/api/making/route", &json!({ "rings": rings() })).await.json();
    assert_eq!(words(&route), ["straighten", "anchor", "wind", "slide-off", "snip", "close", "check"]);
    let near = |a: &Value, b: &Value| (a.as_f64().unwrap() - b.as_f64().unwrap()).abs() < 1e-9;
    assert!(near(&route["totals"]["workpiece"]["inside_mm"], &plan["ring_inside_diameter_mm"]));
    assert!(near(&route["operations"][2]["turns_n"], &plan["turns_wound"]));
    assert!(near(&route["totals"]["off_the_spool_mm"], &plan["wire_length_mm"]));
    assert!(near(&route["totals"]["holds"]["pulls_open_n"], &plan["opening_force_n"]));
    assert!((plan["ring_inside_diameter_mm"].as_f64().unwrap() - 5.0641).abs() < 0.002);
    // Twelve pulls before, and the soft coil springs wider.
    let pulled = json!({ "rings": rings(), "methods": { "straightening": "pulls", "pulls_n": 12 } });
    let pulled = workshop.post("/api/making/route", &pulled).await.json();
    assert!((pulled["totals"]["workpiece"]["inside_mm"].as_f64().unwrap() - 5.1133).abs() < 0.003);
    assert_eq!(pulled["operations"][0]["pulls_n"], 12);
    // The same said in the plan itself.
    let mut plan = rings();
    plan["pulls_n"] = json!(12);
    let planned = workshop.post("/api/rings/plan", &plan).await.json();
    assert!(near(&planned["ring_inside_diameter_mm"], &pulled["totals"]["workpiece"]["inside_mm"]));
}

#[tokio::test]
async fn a_finding_and_its_route_agree() {
    let workshop = Workshop::demo();
    let eight = json!({ "kind": "figure-eight", "wire": { "metal": "copper", "size_mm": 1.024 } });
    let form = workshop.post("/api/findings/form", &eight).await.json();
    let route = workshop.post("/api/making/route", &json!({ "finding": eight })).await.json();
    assert_eq!(form["steps"], route["operations"], "one route, wherever it is shown");
    let second = &route["operations"][4];
    assert_eq!((&second["operation"], &second["from"]), (&json!("loop"), &json!("far-end")));
    assert_eq!(second["at_mm"].as_f64().unwrap(), 0.0);
    assert!(second["angle_to_deg"].as_f64().unwrap() > second["angle_left_deg"].as_f64().unwrap());
    // Heat gives strain back, and the bends after it spring less.
    let annealed =
        json!({ "finding": eight, "route": { "with": [{ "operation": "anneal", "before": "loop" }] } });
    let hard =
        json!({ "kind": "figure-eight", "wire": { "metal": "copper", "size_mm": 1.024, "temper": "hard" } });
    let mut annealed_hard = annealed.clone();
    annealed_hard["finding"] = hard.clone();
    let soft = workshop.post("/api/making/route", &annealed_hard).await.json();
    let as_sold = workshop.post("/api/making/route", &json!({ "finding": hard })).await.json();
    let over = |route: &Value| {
        let all = route["operations"].as_array().unwrap();
        all.iter().find(|one| one["operation"] == "loop").unwrap()["angle_to_deg"].as_f64().unwrap()
    };
    assert!(over(&soft) < over(&as_sold));
}

#[rstest]
#[case::neither(json!({}), "rings", "Enter what to make: “rings”, “finding” or “chain")]
#[case::both(json!({ "rings": rings(), "finding": { "kind": "eye-pin", "wire": { "metal": "copper", "size_mm": 1 } } }),
    "finding", "one at a time")]
#[case::fused_copper(json!({ "rings": rings(), "methods": { "joint": "fuse" } }), "route.7", "copper does not fuse")]
#[case::hammered_thicker(json!({ "rings": rings(), "route": { "with": [{ "operation": "hammer", "to_mm": 2.0, "after": "close" }] } }),
    "route.6", "cannot be hammered to")]
#[case::hammered_open(json!({ "rings": rings(), "route": { "with": [{ "operation": "hammer", "to_mm": 0.8, "before": "close" }] } }),
    "route.5", "would open it further")]
#[case::tumbled_coil(json!({ "rings": rings(), "route": { "with": [{ "operation": "tumble", "after": "wind" }] } }),
    "route.3", "a coil would tangle")]
#[case::left_out(json!({ "rings": rings(), "route": { "without": ["wind"] } }), "route.without.0", "this would be another piece. Change the piece instead")]
#[case::nowhere(json!({ "rings": rings(), "route": { "with": [{ "operation": "anneal", "before": "fold" }] } }),
    "route.with.0.before", "There is no")]
#[case::pulls(json!({ "rings": rings(), "methods": { "pulls_n": 900 } }), "methods.pulls_n", "60")]
#[tokio::test]
async fn what_cannot_be_done_says_which_step_and_why(
    #[case] asked: Value,
    #[case] field: &str,
    #[case] text: &str,
) {
    let reply = Workshop::empty().post("/api/making/route", &asked).await;
    assert_eq!(reply.status, StatusCode::UNPROCESSABLE_ENTITY, "{}", reply.text());
    let fault = reply.fault(field);
    assert!(fault.contains(text), "{fault}");
}

#[tokio::test]
async fn sawn_from_inside_a_small_bore_and_too_many_anneals_are_refused() {
    let workshop = Workshop::empty();
    let mut small = rings();
    small["mandrel"] = json!({ "diameter_mm": 2.2 });
    small["cutting"] = json!({ "method": "saw" });
    let asked = json!({ "rings": small, "methods": { "saw_from": "inside" } });
    let reply = workshop.post("/api/making/route", &asked).await;
    assert!(reply.text().contains("Saw from outside, on a bench pin"), "{}", reply.text());
    let anneals = |n: usize| {
        let with = vec![json!({ "operation": "anneal", "before": "wind" }); n];
        json!({ "rings": rings(), "route": { "with": with } })
    };
    assert_eq!(workshop.post("/api/making/route", &anneals(10)).await.status, StatusCode::OK);
    let eleven = workshop.post("/api/making/route", &anneals(11)).await;
    assert!(eleven.fault("route.with").contains("11 anneals are too many"));
    let many = workshop.post("/api/making/route", &anneals(10_000)).await;
    assert!(many.fault("route").contains("10000 changes are too many"));
}

/// A plan keeps what was changed about its making.
#[tokio::test]
async fn what_is_changed_is_kept_with_the_plan() {
    let workshop = Workshop::empty();
    let mut plan = rings();
    plan["hammered_mm"] = json!(0.8);
    plan["route"] = json!({ "with": [{ "operation": "tumble", "hours": 3.0 }] });
    let kept = workshop.post("/api/plans", &json!({ "name": "Hammered", "request": plan })).await;
    assert_eq!(kept.status, StatusCode::CREATED, "{}", kept.text());
    let entry = kept.json()["entry"].clone();
    assert!(entry["description"].as_str().unwrap().contains("hammered to 0.8 mm"), "{entry}");
    let sheet = workshop.post("/api/rings/sheet", &entry["record"]["request"]).await.json();
    let steps: Vec<&str> = sheet["result"]["steps"]
        .as_array()
        .unwrap()
        .iter()
        .map(|one| one["operation"].as_str().unwrap())
        .collect();
    assert!(steps.ends_with(&["close", "hammer", "tumble", "check"]), "{steps:?}");
}
