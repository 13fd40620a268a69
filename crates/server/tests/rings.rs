//! The planning API: acceptance figures through HTTP, and every refusal at its field.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::Workshop;
use axum::http::{StatusCode, header};
use rstest::rstest;
use serde_json::{Value, json};

/// Acceptance rows: metal, section, size, temper, rod, R0/R1, relaxed inside.
#[rstest]
#[case("copper", "round", 1.0237, "soft", 5.0, 0.98947, 5.0641)]
#[case("sterling-silver", "square", 0.8118, "half-hard", 4.0, 0.96138, 4.1933)]
#[case("stainless-steel", "round", 0.8118, "half-hard", 8.0, 0.91431, 8.8258)]
#[case("aluminium", "round", 1.6277, "soft", 10.0, 0.99097, 10.1060)]
#[case("copper", "half-round", 2.0, "soft", 6.0, 0.98878, 6.0777)]
#[tokio::test]
async fn acceptance_figures_come_through(
    #[case] metal: &str,
    #[case] section: &str,
    #[case] size_mm: f64,
    #[case] temper: &str,
    #[case] rod: f64,
    #[case] ratio: f64,
    #[case] inside: f64,
) {
    let request = json!({
        "wire": { "metal": metal, "section": section, "size_mm": size_mm, "temper": temper },
        "mandrel": { "shape": "round", "diameter_mm": rod },
        "rings_n": 10,
        "cutting": { "method": "double-flush" },
    });
    let reply = Workshop::empty().post("/api/rings/plan", &request).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    let plan = reply.json();
    let number = |key: &str| plan[key].as_f64().unwrap();
    assert!((number("springback_ratio") - ratio).abs() < 1e-4);
    assert!((number("coil_inside_diameter_mm") - inside).abs() < 0.002);
    // Flush cutting leaves the ring as wide as the coil.
    assert!((number("ring_inside_diameter_mm") - inside).abs() < 0.002);
    for key in
        ["aspect_ratio", "turn_length_mm", "wire_length_mm", "wire_mass_g", "strain_used", "opening_force_n"]
    {
        assert!(number(key) > 0.0, "{key}");
    }
}

#[tokio::test]
async fn the_least_request_takes_the_documented_defaults() {
    let least = json!({ "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } });
    let reply = Workshop::empty().post("/api/rings/plan", &least).await.json();
    let text =
        "100 rings of soft copper, round 1 mm, wound by hand on the 5 mm rod and sawn with a 4/0 blade";
    assert!(reply["text"].as_str().unwrap().starts_with(text), "{}", reply["text"]);
}

#[tokio::test]
async fn backwards_finds_the_acceptance_rod_and_ranks_the_rods_sent() {
    let target = json!({
        "wire": { "metal": "sterling-silver", "size_mm": 0.8118, "temper": "half-hard" },
        "target_inside_diameter_mm": 4.0,
        "cutting": { "method": "single-snip" },
        "rods": [{ "diameter_mm": 4.5 }, { "diameter_mm": 3.8 }, { "diameter_mm": 3.0 }],
    });
    let choice = Workshop::empty().post("/api/rings/mandrel", &target).await.json();
    assert!((choice["mandrel_diameter_mm"].as_f64().unwrap() - 3.7995).abs() < 0.002);
    assert_eq!(choice["candidates"][0]["mandrel"]["diameter_mm"], 3.8);
    assert_eq!(choice["candidates"][0]["label"], "3.8 mm rod", "without tape");
}

#[tokio::test]
async fn backwards_uses_the_workshops_own_rods() {
    let target =
        json!({ "wire": { "metal": "copper", "size_mm": 1.0237 }, "target_inside_diameter_mm": 5.0 });
    let choice = Workshop::demo().post("/api/rings/mandrel", &target).await.json();
    assert_eq!(choice["candidates"][0]["label"], "5 mm drill shank");
}

fn request_with(path: &str, value: Value) -> Value {
    let mut request = json!({
        "wire": { "metal": "copper", "section": "round", "size_mm": 1.0, "temper": "soft" },
        "mandrel": { "shape": "round", "diameter_mm": 5.0 },
        "rings_n": 10,
        "cutting": { "method": "saw", "blade": "4/0" },
    });
    *request.pointer_mut(path).unwrap() = value;
    request
}

#[rstest]
#[case("/wire/size_mm", json!(0), "wire.size_mm", "zero")]
#[case("/wire/size_mm", json!(-1), "wire.size_mm", "negative")]
#[case("/wire/size_mm", json!("NaN"), "wire.size_mm", "must be a number")]
#[case("/wire/size_mm", json!(null), "wire.size_mm", "must be a number")]
#[case("/wire/size_mm", json!(1e30), "wire.size_mm", "too large")]
#[case("/wire/size_mm", json!(6), "wire.size_mm", "thicker than the rod of 5 mm")]
#[case("/wire/metal", json!("coper"), "wire.metal", "Did you mean “copper”?")]
#[case("/wire/temper", json!("softish"), "wire.temper", "three-quarter-hard")]
#[case("/wire/section", json!("triangular"), "wire.section", "half-round")]
#[case("/wire", json!({"metal": "copper", "size_mm": 1, "colour": "red"}), "wire.colour", "not a field here")]
#[case("/wire", json!({"metal": "copper"}), "wire.size_mm", "missing")]
#[case("/mandrel/diameter_mm", json!(0), "mandrel.diameter_mm", "zero")]
#[case("/mandrel/shape", json!("star"), "mandrel.shape", "octagon")]
#[case("/mandrel", json!({"diameter_mm": 5, "length_mm": 50, "usable_mm": 60}), "mandrel.usable_mm", "50 mm (1.969 in) long")]
#[case("/cutting/blade", json!("9/0"), "cutting.blade", "8/0")]
#[case("/cutting/blade", json!("6"), "cutting.blade", "teeth")]
#[case("/cutting/method", json!("laser"), "cutting.method", "double-flush")]
#[case("/rings_n", json!(0), "rings_n", "0 rings")]
#[case("/rings_n", json!(-3), "rings_n", "must be a whole number")]
#[case("/rings_n", json!(10_000_000), "rings_n", "at most 1000000")]
#[tokio::test]
async fn refusals_name_the_field_and_what_would_be_right(
    #[case] path: &str,
    #[case] value: Value,
    #[case] field: &str,
    #[case] words: &str,
) {
    let reply = Workshop::empty().post("/api/rings/plan", &request_with(path, value)).await;
    assert_eq!(reply.status, StatusCode::UNPROCESSABLE_ENTITY, "{}", reply.text());
    assert_eq!(reply.headers[header::CONTENT_TYPE], "application/problem+json");
    let sentence = reply.fault(field);
    assert!(sentence.contains(words) && sentence.ends_with(['.', '?']), "{sentence}");
}

#[rstest]
#[case("", "not JSON")]
#[case("{\"wire\": ", "line 1")]
#[case("[1, 2", "must be an object")]
#[case("{} trailing", "column 4")]
#[case(
    "{\"rings_n\": 3, \"wire\": {\"metal\": \"copper\", \"size_mm\": 1}, \"mandrel\": {\"diameter_mm\": 5}, \"rings_n\": 4}",
    "twice"
)]
#[tokio::test]
async fn malformed_json_is_refused_with_its_place(#[case] body: &'static str, #[case] words: &str) {
    let reply = Workshop::empty().ask("POST", "/api/rings/plan", body).await;
    assert!(reply.status.is_client_error());
    assert!(reply.json()["detail"].as_str().unwrap().contains(words), "{}", reply.text());
}

#[tokio::test]
async fn a_sheet_keeps_the_sentence_of_what_cannot_be_made() {
    let reply =
        Workshop::demo().post("/api/rings/sheet", &request_with("/wire/size_mm", json!(6))).await.json();
    assert!(reply["text"].as_str().unwrap().contains("round 6 mm"));
    assert_eq!(reply["faults"][0]["field"], "wire.size_mm");
    assert!(reply.get("result").is_none());
}

#[tokio::test]
async fn a_word_is_changed_with_the_workshops_own_habits() {
    let workshop = Workshop::demo();
    let settings = json!({ "workshop_name": "", "unit": "mm", "gauge": "swg", "theme": "dark" });
    let kept = workshop.put("/api/settings?revision=1", &settings).await;
    assert_eq!(kept.status, StatusCode::OK, "{}", kept.text());
    let change = json!({ "request": request_with("/rings_n", json!(5)), "slot": "size", "change": { "typed": "18ga" } });
    let sheet = workshop.post("/api/rings/change", &change).await.json();
    assert!((sheet["request"]["wire"]["size_mm"].as_f64().unwrap() - 1.2192).abs() < 1e-9);
}

#[tokio::test]
async fn the_ask_line_and_the_tables_answer() {
    let workshop = Workshop::demo();
    let answer =
        workshop.post("/api/ask", &json!({ "text": "120 rings 5 mm inside copper 18 soft" })).await.json();
    assert_eq!(answer["request"]["mandrel"]["name"], "drill shank");
    let gauges = workshop.get("/api/gauges").await.json();
    let awg = gauges.as_array().unwrap().iter().find(|table| table["system"] == "awg").unwrap();
    let eighteen = awg["rows"].as_array().unwrap().iter().find(|row| row["number"] == "18").unwrap();
    assert!((eighteen["size_mm"].as_f64().unwrap() - 1.0237).abs() < 5e-5);
    assert_eq!(workshop.get("/api/metals").await.json().as_array().unwrap().len(), 16);
    assert_eq!(workshop.get("/api/health").await.json()["status"], "ok");
}
