//! What stands on a finding's card and label is what its sheet says, for every kind, way of making and unit.
#![allow(clippy::unwrap_used, missing_docs)]

use axum::http::StatusCode;
use rstest::rstest;
use serde_json::{Value, json};

use crate::common::Workshop;

/// Each way of making that changes what is cut.
fn ways() -> [Value; 5] {
    [
        json!({}),
        json!({ "straightening": "pulls" }),
        json!({ "flat_to": "spool" }),
        json!({ "cut": "long" }),
        json!({ "rounding": "barrel" }),
    ]
}

#[rstest]
#[tokio::test]
async fn a_card_says_what_the_sheet_says(#[values("mm", "inch")] unit: &str) {
    let workshop = Workshop::empty();
    let settings = workshop.get("/api/settings").await.json();
    let mut wished = settings["settings"].clone();
    wished["unit"] = json!(unit);
    let put = workshop.put(&format!("/api/settings?revision={}", settings["revision"]), &wished).await;
    assert_eq!(put.status, StatusCode::OK, "{}", put.text());
    let kinds = workshop.get("/api/finding-kinds").await.json();
    let mut seen = 0;
    for kind in kinds.as_array().unwrap() {
        let kind = kind["kind"].as_str().unwrap();
        for methods in ways() {
            let wire = json!({ "metal": "copper", "size_mm": 1.0 });
            let request = json!({ "kind": kind, "wire": wire, "route": { "methods": methods } });
            let sheet = workshop.post("/api/findings/sheet", &request).await.json();
            let Some(figures) = sheet["result"]["figures"].as_array() else { continue };
            let cut = figures.iter().find(|figure| figure["key"] == "blank").unwrap();
            let cut = if unit == "mm" {
                format!("{} mm", cut["value"].as_str().unwrap())
            } else {
                let of = |part: &str| cut["inch"][part].as_str().unwrap().to_owned();
                format!("{} {}", of("value"), of("unit")).trim_end().to_owned()
            };
            let record = json!({ "name": "it", "request": request });
            let card = workshop.post("/api/findings/export/card.svg", &record).await;
            assert_eq!(card.status, StatusCode::OK, "{kind}: {}", card.text());
            let text = card.text();
            let wanted = format!("cut {cut}, flush to flush");
            assert!(text.contains(&wanted), "{kind} by {methods}: the card does not say {wanted}");
            seen += 1;
        }
    }
    assert!(seen > 90, "{seen} cards");
}
