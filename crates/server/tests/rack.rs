//! Cut plans and listings over HTTP.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::Workshop;
use axum::http::StatusCode;
use serde_json::json;

#[tokio::test]
async fn a_cut_plan_adds_up() {
    let request = json!({
        "stock": [
            { "id": "spool 6", "length_mm": 2000, "kind": "spool" },
            { "id": "rest 1", "length_mm": 123.6, "kind": "offcut" },
        ],
        "demand": [{ "id": "hooks", "length_mm": 61.5, "n": 12 }, { "id": "links", "length_mm": 26.5, "n": 20 }],
        "trim_mm": 0.6, "kerf_mm": 0.0, "shortest_useful_mm": 30,
    });
    let reply = Workshop::empty().post("/api/cut-plans/solve", &request).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    let plan = reply.json();
    assert_eq!(plan["short"].as_array().unwrap().len(), 0);
    let number = |value: &serde_json::Value| value.as_f64().unwrap();
    let mut made = 0.0;
    for stock in plan["stock"].as_array().unwrap() {
        let cuts = stock["cuts"].as_array().unwrap();
        let blanks: f64 = cuts.iter().map(|cut| number(&cut["n"]) * number(&cut["length_mm"])).sum();
        assert!(
            (blanks + number(&stock["scrap_mm"]) + number(&stock["offcut_mm"]) - number(&stock["length_mm"]))
                .abs()
                < 1e-6
        );
        made += blanks;
    }
    assert!((made - (12.0 * 61.5 + 20.0 * 26.5)).abs() < 1e-6);
    assert!(number(&plan["lower_bound_mm"]) <= made + number(&plan["scrap_mm"]) + 1e-9);
    assert!(plan["gap"].is_number());
}

#[tokio::test]
async fn what_is_short_and_what_is_wrong() {
    let short = json!({ "stock": [], "demand": [{ "id": "hooks", "length_mm": 60, "n": 2 }] });
    let plan = Workshop::empty().post("/api/cut-plans/solve", &short).await.json();
    assert_eq!(plan["short"][0]["n"], 2);
    let wrong = json!({ "stock": [{ "id": "a", "length_mm": -5, "kind": "spool" }], "demand": [{ "id": "hooks", "length_mm": 60, "n": 2 }] });
    let reply = Workshop::empty().post("/api/cut-plans/solve", &wrong).await;
    assert!(reply.fault("stock[0].length_mm").contains("negative"));
    let unknown = json!({ "stock": [{ "id": "a", "length_mm": 5, "kind": "reel" }], "demand": [] });
    let reply = Workshop::empty().post("/api/cut-plans/solve", &unknown).await;
    assert!(reply.fault("stock[0].kind").contains("spool"), "{}", reply.text());
}

#[tokio::test]
async fn a_listing_is_read_and_a_blank_priced() {
    let asked = json!({ "text": "Sterling round 20 awg half hard 10 ft $18.288", "blank_mm": 50.0 });
    let text = Workshop::empty().post("/api/listings/decode", &asked).await.json();
    assert_eq!(
        (text["metal"].as_str(), text["temper"].as_str()),
        (Some("sterling-silver"), Some("half-hard"))
    );
    // 18.288 for 3.048 m is 6 a metre; a twentieth of a metre is 0.30.
    assert!((text["per_metre"].as_str().unwrap().parse::<f64>().unwrap() - 6.0).abs() < 1e-9);
    assert!((text["per_blank"].as_str().unwrap().parse::<f64>().unwrap() - 0.3).abs() < 1e-9);
    assert!(text["missing"].as_array().unwrap().is_empty(), "{text}");
}
