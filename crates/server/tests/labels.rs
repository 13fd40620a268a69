//! The label for the bag: whatever is written on it stays on it, for every wire and the longest names.
#![allow(clippy::unwrap_used, missing_docs)]

mod common;
mod printed;

use axum::http::StatusCode;
use common::Workshop;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use printed::Printed;
use rstest::rstest;
use serde_json::{Value, json};

const LONG: &str = "Water sprites of the third act, chorus and dancers, second set with wide loops";

async fn label(workshop: &Workshop, path: &str, record: &Value) -> Vec<u8> {
    let reply = workshop.post(path, record).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    reply.bytes
}

/// Nothing stands in the margins, and the rows end above the foot.
fn stays_on(pdf: &[u8], what: &str) {
    let label = Printed::page(pdf, 8.0);
    let drawn = |x, y| label.has(x, y);
    assert!(!drawn(76.6..80.0, 0.0..45.0), "{what}: past the right edge");
    assert!(!drawn(0.0..3.4, 0.0..45.0), "{what}: past the left edge");
    assert!(!drawn(0.0..80.0, 38.0..38.9), "{what}: into the foot");
    assert!(drawn(24.0..76.0, 12.0..16.0), "{what}: the wire is written");
}

fn rings(name: &str, metal: Metal, temper: Temper, section: Section, size_mm: f64) -> Value {
    json!({
        "name": name,
        "note": "",
        "request": {
            "wire": { "metal": metal.word(), "temper": temper.word(), "section": section.word(), "size_mm": size_mm },
            "mandrel": { "name": "knitting needle, US 10½ UK 3, bamboo, grey", "diameter_mm": 9, "length_mm": 180 },
            "rings_n": 120_000,
        },
    })
}

#[tokio::test]
async fn every_wire_is_written_whole() {
    let workshop = Workshop::demo();
    for (i, metal) in Metal::ALL.iter().enumerate() {
        let temper = [Temper::Soft, Temper::ThreeQuarterHard, Temper::HalfHard][i % 3];
        let section = Section::ALL[i % Section::ALL.len()];
        let record = rings(if i % 2 == 0 { "Mail" } else { LONG }, *metal, temper, section, 1.0237);
        let pdf = label(&workshop, "/api/rings/take-away/label.pdf", &record).await;
        stays_on(&pdf, &format!("{metal} {temper} {section}"));
    }
}

#[rstest]
#[case::short("Mail")]
#[case::long(LONG)]
#[case::one_word(&"Wassergeister".repeat(6))]
#[tokio::test]
async fn every_name_stays_beside_the_count(#[case] name: &str) {
    let record = rings(name, Metal::PhosphorBronze, Temper::ThreeQuarterHard, Section::HalfRound, 1.628);
    let pdf = label(&Workshop::demo(), "/api/rings/take-away/label.pdf", &record).await;
    stays_on(&pdf, name);
    // The rule below the name is not written over.
    assert!(!Printed::page(&pdf, 8.0).has(4.0..50.0, 9.7..10.2), "{name}");
}

#[tokio::test]
async fn findings_with_many_marks_stay_on_their_label() {
    let workshop = Workshop::demo();
    let kinds = workshop.get("/api/pattern-kinds").await.json();
    for kind in kinds.as_array().unwrap() {
        let record =
            json!({ "name": LONG, "note": "", "request": { "kind": kind["kind"], "wire": kind["wire"] } });
        let pdf = label(&workshop, "/api/patterns/take-away/label.pdf", &record).await;
        stays_on(&pdf, kind["kind"].as_str().unwrap());
    }
}
