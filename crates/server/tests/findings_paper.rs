//! Findings on paper and in open formats: true size, and read back by other programs.
#![allow(
    clippy::unwrap_used,
    clippy::panic,
    clippy::cast_possible_truncation,
    clippy::cast_sign_loss,
    clippy::cast_precision_loss,
    missing_docs
)]

use crate::common::{Reply, Workshop};
use crate::printed::Printed;
use axum::http::StatusCode;
use dxf::entities::EntityType;
use hayro::hayro_syntax::Pdf;
use rstest::rstest;
use serde_json::{Value, json};

fn record(kind: &str, parameters: &Value) -> Value {
    json!({
        "name": "Sprites & <queens>",
        "note": "Für den Garten – ½ Dutzend.",
        "request": {
            "kind": kind,
            "parameters": parameters,
            "wire": { "metal": "sterling-silver", "size_mm": 0.8118, "temper": "soft" },
        },
    })
}

async fn file(name: &str, record: &Value) -> Reply {
    let reply = Workshop::demo().post(&format!("/api/findings/export/{name}"), record).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    reply
}

async fn form(record: &Value) -> Value {
    Workshop::demo().post("/api/findings/form", &record["request"]).await.json()
}

/// Length of the centreline, added up from what an independent reader finds in the file.
fn centreline_mm(drawing: &dxf::Drawing) -> f64 {
    let mut sum = 0.0;
    for entity in drawing.entities().filter(|entity| entity.common.layer == "CENTRELINE") {
        let apart = |a: &dxf::Point, b: &dxf::Point| {
            ((a.x - b.x).powi(2) + (a.y - b.y).powi(2) + (a.z - b.z).powi(2)).sqrt()
        };
        sum += match &entity.specific {
            EntityType::Line(line) => apart(&line.p1, &line.p2),
            EntityType::Arc(arc) => {
                let swept = (arc.end_angle - arc.start_angle).rem_euclid(360.0);
                arc.radius * swept.to_radians()
            }
            EntityType::Circle(circle) => circle.radius * std::f64::consts::TAU,
            EntityType::Polyline(line) => {
                let places: Vec<_> = line.vertices().map(|vertex| vertex.location.clone()).collect();
                places.windows(2).map(|pair| apart(&pair[0], &pair[1])).sum()
            }
            other => panic!("unexpected {other:?}"),
        };
    }
    sum
}

#[rstest]
#[case("open-ear-wire", json!({}))]
#[case("wrapped-ear-wire", json!({}))]
#[case("spiral-hook", json!({}))]
#[case("figure-eight", json!({}))]
#[case("coil-cap", json!({}))]
#[case("cone-cap", json!({}))]
#[case("round-ring", json!({}))]
#[case("oval-ring", json!({}))]
#[tokio::test]
async fn dxf_read_by_another_program_has_the_same_length(#[case] kind: &str, #[case] parameters: Value) {
    let record = record(kind, &parameters);
    let bytes = file("drawing.dxf", &record).await.bytes;
    let drawing = dxf::Drawing::load(&mut bytes.as_slice()).unwrap();
    let (read, developed) = (centreline_mm(&drawing), form(&record).await["developed_mm"].as_f64().unwrap());
    assert!((read - developed).abs() < 2e-5 * developed, "{read} for {developed}");
    // The outline is as large as the piece.
    let outline = drawing.entities().filter(|entity| entity.common.layer == "OUTLINE");
    let places: Vec<(f64, f64)> = outline
        .flat_map(|entity| match &entity.specific {
            EntityType::Polyline(line) => line.vertices().map(|v| (v.location.x, v.location.y)).collect(),
            _ => vec![],
        })
        .collect();
    let span = |of: fn(&(f64, f64)) -> f64| {
        let (least, most) =
            places.iter().map(of).fold((f64::MAX, f64::MIN), |(a, b), x| (a.min(x), b.max(x)));
        most - least
    };
    let piece = form(&record).await;
    if !matches!(kind, "coil-cap" | "cone-cap") {
        let (width, height) = (piece["width_mm"].as_f64().unwrap(), piece["height_mm"].as_f64().unwrap());
        assert!((span(|p| p.0) - width).abs() < 0.03, "{} wide for {width}", span(|p| p.0));
        assert!((span(|p| p.1) - height).abs() < 0.03, "{} high for {height}", span(|p| p.1));
    }
}

#[tokio::test]
async fn the_card_as_svg_is_true_size() {
    let record = record("open-ear-wire", &json!({}));
    let text = file("card.svg", &record).await.text();
    let card = roxmltree::Document::parse(&text).unwrap();
    assert_eq!(card.root_element().attribute("width"), Some("210mm"));
    let width = |id: &str| -> f64 {
        let found = card.descendants().find(|node| node.attribute("id") == Some(id)).unwrap();
        found.attribute("width").unwrap().parse().unwrap()
    };
    assert!((width("check-50-mm") - 50.0).abs() < 1e-9 && (width("check-2-in") - 50.8).abs() < 1e-9);
    let form = form(&record).await;
    let flush = form["blank"]["flush_mm"].as_f64().unwrap();
    assert!((width("blank") - flush).abs() < 1e-3, "the blank lies on the page at its length");
    // The crown's zone is the half turn over 8 mm inside, (8 + d)/2 mean radius.
    let crown = form["marks"].as_array().unwrap().iter().find(|mark| mark["what"] == "crown").unwrap();
    let expected = std::f64::consts::PI * (8.0 + 0.8118) / 2.0;
    let zone = width(&format!("zone-{}", crown["segment_n"]));
    assert!((zone - expected).abs() < 1e-3, "{zone} for {expected}");
}

#[rstest]
#[case("card-a4.pdf", 210.0, 297.0)]
#[case("card-a5.pdf", 148.0, 210.0)]
#[case("label.pdf", 80.0, 45.0)]
#[tokio::test]
async fn pdf_pages_have_their_true_size(#[case] name: &str, #[case] width: f64, #[case] height: f64) {
    let pdf = Pdf::new(file(name, &record("wrapped-ear-wire", &json!({}))).await.bytes).unwrap();
    let (w, h) = pdf.pages()[0].render_dimensions();
    let mm = |points: f32| f64::from(points) / 72.0 * 25.4;
    assert!((mm(w) - width).abs() < 0.02 && (mm(h) - height).abs() < 0.02, "{} × {}", mm(w), mm(h));
}

/// Stretches of a row that are inked, from and to.
fn runs(width: usize, ink: impl Fn(usize) -> bool) -> Vec<(usize, usize)> {
    let mut runs: Vec<(usize, usize)> = vec![];
    for x in (0..width).filter(|x| ink(*x)) {
        match runs.last_mut() {
            Some(last) if last.1 == x => last.1 = x + 1,
            _ => runs.push((x, x + 1)),
        }
    }
    runs
}

/// Rasterised at ten pixels a millimetre: the check bar is 50 mm, and so wide is a ring of that outside.
#[tokio::test]
async fn the_pdf_card_is_true_size_when_rasterised() {
    let record = record("round-ring", &json!({ "inside_mm": 20.0 }));
    let per_mm = 10.0;
    let picture = Printed::page(&file("card-a5.pdf", &record).await.bytes, per_mm);
    let width = picture.width_px();
    let ink = |x: usize, y: usize| picture.darker(x, y, 750);
    // The bar stands 17 mm above the foot.
    let y = ((210.0 - 17.0 + 0.6) * per_mm) as usize;
    let bar = (0..width / 2).filter(|x| ink(*x, y)).count() as f64 / per_mm;
    assert!((bar - 50.0).abs() <= 0.2, "{bar}");
    // The front view stands first in the left third; its middle row crosses the wire twice.
    let third = (0.36 * 148.0 * per_mm) as usize;
    let mut widest: f64 = 0.0;
    for y in (30.0 * per_mm) as usize..(120.0 * per_mm) as usize {
        let runs = runs(third, |x| ink(x, y));
        let [first, second, ..] = runs.as_slice() else { continue };
        let crosses = |run: &(usize, usize)| (6..=12).contains(&(run.1 - run.0));
        if crosses(first) && crosses(second) {
            widest = widest.max((second.1 - first.0) as f64 / per_mm);
        }
    }
    let outside = 20.0 + 2.0 * 0.8118;
    assert!((widest - outside).abs() < 0.15, "{widest} for {outside}");
}

#[tokio::test]
async fn the_bend_table_reads_as_csv_in_forming_order() {
    let record = record("open-ear-wire", &json!({}));
    let reply = file("bends.csv", &record).await;
    let mut table = csv::Reader::from_reader(reply.bytes.as_slice());
    let headings = table.headers().unwrap().clone();
    let column = |name: &str| headings.iter().position(|heading| heading == name).unwrap();
    let rows: Vec<csv::StringRecord> = table.records().map(Result::unwrap).collect();
    let order: Vec<u32> = rows.iter().map(|row| row[column("forming_n")].parse().unwrap()).collect();
    assert!(order.is_sorted() && !order.is_empty(), "{order:?}");
    let crown = rows.iter().find(|row| &row[column("what")] == "crown").unwrap();
    let number = |name: &str| crown[column(name)].parse::<f64>().unwrap();
    assert!((number("angle_deg") - 180.0).abs() < 1e-3 && number("bend_to_deg") > 180.0);
    let half_turn = std::f64::consts::PI * (8.0 + 0.8118) / 2.0;
    assert!((number("to_mm") - number("at_mm") - half_turn).abs() < 1e-3);
}

#[tokio::test]
async fn files_are_named_after_the_pattern_and_unknown_ones_listed() {
    let record = record("eye-pin", &json!({}));
    let reply = file("pattern.json", &record).await;
    let disposition = reply.headers["content-disposition"].to_str().unwrap();
    assert_eq!(disposition, "attachment; filename=\"sprites-queens.pattern.json\"");
    assert_eq!(reply.json()["patterns"][0]["request"]["kind"], "eye-pin");
    let unknown = Workshop::demo().post("/api/findings/export/card.exe", &record).await;
    assert_eq!(unknown.status, StatusCode::NOT_FOUND);
    assert!(unknown.text().contains("drawing.dxf"));
}

/// A long note pushes nothing under the bars at the foot.
#[tokio::test]
async fn a_long_note_leaves_the_foot_of_a_small_card_alone() {
    for kind in ["s-clasp", "wrapped-ear-wire", "cone-cap", "figure-eight"] {
        let mut record = record(kind, &json!({}));
        for words_n in [150, 220, 285] {
            record["note"] = json!("sprite ".repeat(words_n).trim_end());
            let page = Printed::page(&file("card-a5.pdf", &record).await.bytes, 4.0);
            assert!(!page.has(0.0..148.0, 188.5..192.5), "{kind} with {words_n} words runs into the foot");
        }
    }
}

/// Whatever a small card has no room for stands on its next page: every step, and what the bag says.
#[rstest]
#[case("card-a5.pdf", 148.0)]
#[case("card-a4.pdf", 210.0)]
#[tokio::test]
async fn a_card_goes_on_where_its_page_ends(#[case] name: &str, #[case] width: f64) {
    let mut most = 0;
    for kind in ["wrapped-loop-link", "doubled-hook", "eye-pin"] {
        let mut record = record(kind, &json!({}));
        record["note"] = json!("for the second cast of the lake play, who change in the dark. ".repeat(12));
        let made = file(name, &record).await;
        assert_eq!(made.status, StatusCode::OK, "{}", made.text());
        let pdf = hayro::hayro_syntax::Pdf::new(made.bytes).unwrap();
        for page in pdf.pages().iter() {
            let (w, _) = page.render_dimensions();
            assert!((f64::from(w) / 72.0 * 25.4 - width).abs() < 0.1, "a page of another size");
        }
        most = most.max(pdf.pages().len());
    }
    assert!(most > 1 || width > 200.0, "the small card has one page for all");
}
