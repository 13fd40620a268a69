//! The label for the bag: whatever is written on it stays on it, for every wire and the longest names.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::Workshop;
use crate::printed::Printed;
use axum::http::StatusCode;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
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
        let pdf = label(&workshop, "/api/rings/export/label.pdf", &record).await;
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
    let pdf = label(&Workshop::demo(), "/api/rings/export/label.pdf", &record).await;
    stays_on(&pdf, name);
    // The rule below the name is not written over.
    assert!(!Printed::page(&pdf, 8.0).has(4.0..50.0, 9.7..10.2), "{name}");
}

#[tokio::test]
async fn findings_with_many_marks_stay_on_their_label() {
    let workshop = Workshop::demo();
    let kinds = workshop.get("/api/finding-kinds").await.json();
    for kind in kinds.as_array().unwrap() {
        let record =
            json!({ "name": LONG, "note": "", "request": { "kind": kind["kind"], "wire": kind["wire"] } });
        let pdf = label(&workshop, "/api/findings/export/label.pdf", &record).await;
        stays_on(&pdf, kind["kind"].as_str().unwrap());
    }
}

/// Names print in the scripts the shipped type has; of another one it is said, and nothing is left out in silence.
#[rstest]
#[case("Σπείρα της λίμνης", None)]
#[case("Ёлка, озеро", None)]
#[case("Żółw, Þór, señal", None)]
#[case("石のかんざし", Some("“石” (U+77F3) cannot be printed"))]
#[case("خاتم", Some("“خ” (U+062E) cannot be printed"))]
#[case("heron 😀", Some("“😀” (U+1F600) cannot be printed"))]
#[tokio::test]
async fn a_name_prints_or_it_is_said(#[case] name: &str, #[case] text: Option<&str>) {
    let workshop = Workshop::empty();
    let request = json!({ "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } });
    for file in ["cut-sheet.pdf", "label.pdf"] {
        let plan = json!({ "name": name, "request": request });
        let made = workshop.post(&format!("/api/rings/export/{file}"), &plan).await;
        match text {
            None => assert!(made.bytes.starts_with(b"%PDF"), "{file}: {}", made.text()),
            Some(text) => assert!(made.fault("name").starts_with(text), "{file}: {}", made.text()),
        }
    }
}

/// Signs that cannot be seen, or turn what is read around, are refused where they come in.
#[rstest]
#[case("cod\u{202e}e")]
#[case("\u{200b}")]
#[case("bell\u{7}")]
#[case("mark\u{feff}")]
#[tokio::test]
async fn signs_that_cannot_be_seen_are_refused(#[case] name: &str) {
    let workshop = Workshop::empty();
    let request = json!({ "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } });
    let plan = workshop.post("/api/plans", &json!({ "name": name, "request": request })).await;
    assert!(plan.fault("name").contains("invisible character"), "{}", plan.text());
    let lot = json!({ "lot": { "name": format!("lot{name}"), "wire": request["wire"] }, "length_mm": 100 });
    let lot = workshop.post("/api/lots", &lot).await;
    assert!(lot.fault("name").contains("invisible character"), "{}", lot.text());
}

/// The letters themselves are there, not a box or nothing in their place: two that differ look different on paper.
#[rstest]
#[case("Σ", "Ω")]
#[case("Ж", "Ф")]
#[case("Ż", "Ę")]
#[tokio::test]
async fn letters_of_each_script_are_drawn(#[case] one: &str, #[case] other: &str) {
    let workshop = Workshop::empty();
    let mut pages = vec![];
    for name in [one, other, one] {
        let record = rings(name, Metal::Copper, Temper::Soft, Section::Round, 1.0);
        pages.push(Printed::page(&label(&workshop, "/api/rings/export/label.pdf", &record).await, 8.0));
    }
    assert!(pages[0].is_like(&pages[2]), "the same name looks the same");
    assert!(!pages[0].is_like(&pages[1]), "{one} and {other} look the same");
}

/// A name that has no two lines beside the count wants a larger label.
#[tokio::test]
async fn a_name_that_does_not_fit_is_said_to_need_a_larger_label() {
    let workshop = Workshop::demo();
    let bag = workshop.get("/api/bags").await.json()["entries"][0].clone();
    let path = format!("/api/bags/{}?revision={}", bag["id"], bag["revision"]);
    let edit = json!({ "name": LONG, "place": "", "note": "" });
    let edited = workshop.put(&path, &edit).await;
    assert_eq!(edited.status, StatusCode::OK, "{}", edited.text());
    let paper = json!({ "width_mm": 36.0, "height_mm": 60.0, "columns_n": 1, "rows_n": 1 });
    let refused =
        workshop.post("/api/labels/labels.svg", &json!({ "bags": [bag["id"]], "paper": paper })).await;
    assert!(refused.fault("paper.width_mm").contains("too small for the text of"), "{}", refused.text());
}

/// On a small label everything is read in 5 point type, or it is said which size would do; at that size it is.
#[tokio::test]
async fn a_label_is_legible_or_said_to_be_too_small() {
    let workshop = Workshop::demo();
    let bags = workshop.get("/api/bags").await.json();
    let id = bags["entries"][0]["id"].clone();
    let of = |width: f64, height: f64| {
        let paper = json!({ "width_mm": width, "height_mm": height, "columns_n": 1, "rows_n": 1 });
        json!({ "bags": [id], "paper": paper })
    };
    let types = |svg: &str| -> Vec<f64> {
        svg.split("font-size=\"")
            .skip(1)
            .map(|rest| rest.split('"').next().unwrap().parse().unwrap())
            .collect()
    };
    let refused = workshop.post("/api/labels/labels.svg", &of(30.0, 20.0)).await;
    let text = refused.fault("paper.width_mm");
    assert!(text.contains("30 × 20 mm is too small") && text.contains("Enter at least"), "{text}");
    let size = text.rsplit_once("at least ").unwrap().1.replace(" mm.", "");
    let (width, height) = size.split_once(" × ").unwrap();
    let (width, height): (f64, f64) = (width.parse().unwrap(), height.parse().unwrap());
    for (width, height) in [(width, height), (80.0, 45.0)] {
        let label = workshop.post("/api/labels/labels.svg", &of(width, height)).await;
        assert_eq!(label.status, StatusCode::OK, "{}", label.text());
        let types = types(&label.text());
        assert!(types.len() > 5 && types.iter().all(|size| *size >= 5.0 * 25.4 / 72.0 - 1e-3), "{types:?}");
        assert!(label.text().contains(&format!("bag {id}")), "what is typed to find it");
    }
    // What it says to type leads to the bag; to another one it does not.
    let asked = workshop.post("/api/ask", &json!({ "text": format!("bag {id}") })).await.json();
    assert_eq!(asked["found"][0]["path"], json!(format!("/bag/{id}")), "{asked}");
    let none = workshop.post("/api/ask", &json!({ "text": "bag 987654" })).await.json();
    assert_eq!(none["headline"], "There is no bag number 987654.");
}
