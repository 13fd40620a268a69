//! What is printed is true size: the SVG is measured, the PDF is rasterised and measured.
#![allow(clippy::unwrap_used, clippy::cast_possible_truncation, clippy::cast_sign_loss, missing_docs)]

use crate::common::{Reply, Workshop};
use crate::printed::Printed;
use axum::http::StatusCode;
use hayro::hayro_syntax::Pdf;
use rstest::rstest;
use serde_json::{Value, json};

fn plan() -> Value {
    json!({
        "name": "Rings <for> \"Ondine\" & co.",
        "note": "Lake stage, ½ hard later – ask Rüdiger.",
        "request": {
            "wire": { "metal": "copper", "size_mm": 1.0237 },
            "mandrel": { "name": "drill shank", "diameter_mm": 5, "length_mm": 88 },
            "rings_n": 120,
        },
    })
}

async fn file(name: &str) -> Reply {
    let reply = Workshop::demo().post(&format!("/api/rings/export/{name}"), &plan()).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    reply
}

#[tokio::test]
async fn the_svg_cut_sheet_is_in_millimetres() {
    let text = file("cut-sheet.svg").await.text();
    let sheet = roxmltree::Document::parse(&text).unwrap();
    let root = sheet.root_element();
    assert_eq!((root.attribute("width"), root.attribute("height")), (Some("210mm"), Some("297mm")));
    assert_eq!(root.attribute("viewBox"), Some("0 0 210 297"));
    let bar = |id: &str| {
        let found = sheet.descendants().find(|node| node.attribute("id") == Some(id)).unwrap();
        found.attribute("width").unwrap().parse::<f64>().unwrap()
    };
    assert!((bar("check-50-mm") - 50.0).abs() < 1e-9);
    assert!((bar("check-2-in") - 50.8).abs() < 1e-9);
    // One ring of 18.93 mm, the acceptance coil's turn less its kerf, lies on the page at true size.
    let ring = bar("ring");
    assert!((ring - (19.1533 - 0.22)).abs() < 0.003, "{ring}");
    let title = sheet.descendants().find(|node| node.has_tag_name("title")).unwrap();
    assert_eq!(title.text(), Some("Rings <for> \"Ondine\" & co."));
}

/// Renders the PDF at ten pixels a millimetre and measures dark runs along a line of the page.
#[rstest]
#[case("cut-sheet.pdf", 210.0, 297.0)]
#[case("label.pdf", 80.0, 45.0)]
#[tokio::test]
async fn pdf_pages_have_their_true_size(#[case] name: &str, #[case] width: f64, #[case] height: f64) {
    let pdf = Pdf::new(file(name).await.bytes).unwrap();
    assert_eq!(pdf.pages().len(), 1);
    let (w, h) = pdf.pages()[0].render_dimensions();
    let mm = |points: f32| f64::from(points) / 72.0 * 25.4;
    assert!((mm(w) - width).abs() < 0.02 && (mm(h) - height).abs() < 0.02, "{} × {}", mm(w), mm(h));
}

#[tokio::test]
async fn the_check_bar_of_the_pdf_is_fifty_millimetres() {
    let per_mm = 10.0;
    let picture = Printed::page(&file("cut-sheet.pdf").await.bytes, per_mm);
    // The bars stand at 278 to 279.2 mm from the top.
    let y = (278.6 * per_mm) as usize;
    let mut runs = vec![];
    let mut start = None;
    for x in 0..picture.width_px() {
        match (picture.darker(x, y, 240), start) {
            (true, None) => start = Some(x),
            (false, Some(from)) => {
                runs.push((x - from) as f64 / per_mm);
                start = None;
            }
            _ => {}
        }
    }
    assert_eq!(runs.len(), 2, "{runs:?}");
    assert!((runs[0] - 50.0).abs() <= 0.2 && (runs[1] - 50.8).abs() <= 0.2, "{runs:?}");
}

#[tokio::test]
async fn the_table_can_be_read_by_any_csv_reader_and_starts_no_formula() {
    let mut kept = plan();
    kept["name"] = json!("=1+1, \"quoted\"");
    let reply = Workshop::demo().post("/api/rings/export/plan.csv", &kept).await;
    let mut table = csv::Reader::from_reader(reply.bytes.as_slice());
    let headings = table.headers().unwrap().clone();
    let row = table.records().next().unwrap().unwrap();
    let cell = |heading: &str| &row[headings.iter().position(|h| h == heading).unwrap()];
    assert_eq!(cell("name"), "'=1+1, \"quoted\"");
    assert_eq!((cell("metal"), cell("rings_n"), cell("coils_n")), ("copper", "120", "3"));
    assert!((cell("ring_inside_diameter_mm").parse::<f64>().unwrap() - 4.9941).abs() < 0.002);
}

#[tokio::test]
async fn files_are_named_after_the_plan() {
    let reply = file("plan.json").await;
    let disposition = reply.headers["content-disposition"].to_str().unwrap();
    assert_eq!(disposition, "attachment; filename=\"rings-for-ondine-co.json\"");
    let unknown = Workshop::demo().post("/api/rings/export/plan.exe", &plan()).await;
    assert_eq!(unknown.status, StatusCode::NOT_FOUND);
}
