//! From what is picked to what is booked: demand, plan, jobs, paper, scrap, buying; choosing and costs over HTTP.
#![allow(clippy::unwrap_used, clippy::cast_possible_truncation, missing_docs)]

use crate::common::Workshop;
use axum::http::StatusCode;
use hayro::hayro_syntax::Pdf;
use serde_json::{Value, json};

fn number(value: &Value) -> f64 {
    value.as_f64().unwrap()
}

async fn wanted(workshop: &Workshop) -> Vec<Value> {
    workshop.get("/api/cut-plans/wanted").await.json().as_array().unwrap().clone()
}

fn request(of: &Value) -> Value {
    json!({ "stock": of["stock"], "demand": of["demand"], "trim_mm": of["trim_mm"], "kerf_mm": 0,
        "shortest_useful_mm": of["shortest_useful_mm"] })
}

async fn solved(workshop: &Workshop, of: &Value) -> Value {
    let reply = workshop.post("/api/cut-plans/solve", &request(of)).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    reply.json()
}

fn cuts(of: &Value, plan: &Value) -> Value {
    let lots: Vec<Value> = plan["stock"]
        .as_array()
        .unwrap()
        .iter()
        .map(|piece| {
            let cuts: Vec<Value> = piece["cuts"]
                .as_array()
                .unwrap()
                .iter()
                .map(|cut| json!({ "what": cut["demand"], "length_mm": cut["length_mm"], "n": cut["n"] }))
                .collect();
            let lot: i64 = piece["stock"].as_str().unwrap().parse().unwrap();
            json!({ "lot": lot, "cuts": cuts, "trim_mm": of["trim_mm"], "shortest_useful_mm": of["shortest_useful_mm"] })
        })
        .collect();
    json!({ "lots": lots, "picks": of["picks"] })
}

#[tokio::test]
async fn what_is_picked_is_planned_booked_and_put_back_in_one_step() {
    let workshop = Workshop::demo();
    // What is ordered is booked at the bench.
    for order in workshop.get("/api/orders").await.json().as_array().unwrap() {
        let away = json!({ "revision": 1, "archived": true });
        workshop.post(&format!("/api/orders/{}/archive", order["id"]), &away).await;
    }
    let of = wanted(&workshop).await.remove(0);
    let plan = solved(&workshop, &of).await;
    let totals = async || workshop.get("/api/lots/metals").await.json();
    let (metals, scrap) = (totals().await, workshop.get("/api/scrap").await.json());
    let booked = workshop.post("/api/cut-plans/book", &cuts(&of, &plan)).await;
    assert_eq!(booked.status, StatusCode::CREATED, "{}", booked.text());
    for piece in plan["stock"].as_array().unwrap() {
        let lot = workshop.get(&format!("/api/lots/{}", piece["stock"].as_str().unwrap())).await.json();
        assert!((number(&lot["balance"]["left_mm"]) - number(&piece["offcut_mm"])).abs() < 0.002, "{lot}");
    }
    assert_eq!(wanted(&workshop).await.len(), 2);
    let undone = workshop.post(&format!("/api/undo/{}", booked.json()["undo"]), &json!({})).await;
    assert_eq!(undone.status, StatusCode::OK, "{}", undone.text());
    assert_eq!(totals().await, metals);
    assert_eq!(workshop.get("/api/scrap").await.json(), scrap);
    assert_eq!(wanted(&workshop).await[0]["demand"], of["demand"]);
}

#[tokio::test]
async fn a_rest_too_short_goes_to_clean_scrap_by_its_weight() {
    let workshop = Workshop::empty();
    let lot = json!({ "name": "Rest", "kind": "offcut", "wire": { "metal": "brass", "size_mm": 1.0 } });
    let id = workshop.post("/api/lots", &json!({ "lot": lot, "length_mm": 150 })).await.json()["lot"]["id"]
        .clone();
    let cut = json!({ "lot": id, "cuts": [{ "what": "hooks", "length_mm": 60, "n": 2 }], "trim_mm": 0.5,
        "shortest_useful_mm": 40 });
    let booked = workshop.post("/api/cut-plans/book", &json!({ "lots": [cut] })).await;
    assert_eq!(booked.status, StatusCode::CREATED, "{}", booked.text());
    let scrap = workshop.get("/api/scrap").await.json();
    let density = lorimant_core::wire::metal::Metal::Brass.figures().density_g_cm3;
    let grams = 0.0295 * std::f64::consts::FRAC_PI_4 * density;
    assert!((number(&scrap["piles"][0]["mass_g"]) - grams).abs() < 0.001, "{scrap}");
    // The lot is used up, and stands with those that are.
    assert_eq!(workshop.get("/api/lots").await.json()["total"], 0);
    assert_eq!(workshop.get("/api/lots?used_up=true").await.json()["total"], 1);
}

#[tokio::test]
async fn a_booking_that_one_lot_cannot_bear_books_none() {
    let workshop = Workshop::demo();
    let lots = workshop.get("/api/lots").await.json();
    let ids: Vec<&Value> = lots["lots"].as_array().unwrap().iter().map(|lot| &lot["id"]).take(2).collect();
    let cut =
        |id: &Value, n: u32| json!({ "lot": id, "cuts": [{ "what": "hooks", "length_mm": 60, "n": n }] });
    let body = json!({ "lots": [cut(ids[0], 2), cut(ids[1], 90_000)] });
    let refused = workshop.post("/api/cut-plans/book", &body).await;
    assert!(refused.fault("lots[1].cuts").contains("short"), "{}", refused.text());
    assert_eq!(workshop.get("/api/lots").await.json(), lots);
    let nothing = workshop.post("/api/cut-plans/book", &json!({ "lots": [] })).await;
    assert!(nothing.fault("lots").contains("selected as cut"));
    let unknown = workshop.post("/api/cut-plans/book", &json!({ "lots": [cut(&json!(9999), 1)] })).await;
    assert_eq!(unknown.status, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn a_long_solve_shows_how_far_it_is_and_stops_with_the_best_so_far() {
    let workshop = Workshop::empty();
    let demand: Vec<Value> = (0..40)
        .map(|i| json!({ "id": format!("d{i}"), "length_mm": 21.5 + 2.25 * f64::from(i), "n": 250 }))
        .collect();
    let stock: Vec<Value> = (0..90)
        .map(|i| json!({ "id": format!("s{i}"), "length_mm": 400 + 97 * i, "kind": "offcut" }))
        .chain((0..9).map(|i| json!({ "id": format!("spool {i}"), "length_mm": 60_000, "kind": "spool" })))
        .collect();
    let request =
        json!({ "stock": stock, "demand": demand, "trim_mm": 0.6, "kerf_mm": 0.2, "shortest_useful_mm": 60 });
    let started = workshop.post("/api/cut-plans/jobs", &request).await;
    assert_eq!(started.status, StatusCode::CREATED, "{}", started.text());
    let path = format!("/api/cut-plans/jobs/{}", started.json()["job"]);
    // Waits for the first good plan, then asks for an end.
    let mut state = workshop.get(&path).await.json();
    while state["working"] == true && state.get("progress").is_none() {
        tokio::time::sleep(std::time::Duration::from_millis(5)).await;
        state = workshop.get(&path).await.json();
    }
    workshop.post(&format!("{path}/stop"), &json!({})).await;
    while state["working"] == true {
        tokio::time::sleep(std::time::Duration::from_millis(5)).await;
        state = workshop.get(&path).await.json();
    }
    let plan = &state["plan"];
    assert_eq!(plan["short"], json!([]));
    assert!(number(&plan["gap"]) < 0.01, "{}", plan["gap"]);
    assert!(number(&state["progress"]["tried_n"]) <= number(&state["progress"]["of_n"]));
    assert_eq!(workshop.get("/api/cut-plans/jobs/77").await.status, StatusCode::NOT_FOUND);
    let wrong = json!({ "stock": [], "demand": [] });
    assert!(workshop.post("/api/cut-plans/jobs", &wrong).await.fault("demand").contains("1 to 1000"));
}

#[tokio::test]
async fn picks_are_made_changed_taken_off_and_undone() {
    let workshop = Workshop::demo();
    let picks = workshop.get("/api/picks").await.json();
    assert_eq!(picks.as_array().unwrap().len(), 4);
    let first = &picks[0];
    let (id, entry) = (&first["id"], &first["record"]["entry"]);
    let more = json!({ "entry": entry, "pieces_n": 30 });
    let changed = workshop.put(&format!("/api/picks/{id}?revision=1"), &more).await;
    assert_eq!(changed.status, StatusCode::OK, "{}", changed.text());
    // Thirty pairs are sixty blanks.
    assert_eq!(wanted(&workshop).await[0]["demand"][0]["n"], 60);
    let stale = workshop.put(&format!("/api/picks/{id}?revision=1"), &more).await;
    assert_eq!(stale.status, StatusCode::CONFLICT);
    let none =
        workshop.put(&format!("/api/picks/{id}?revision=2"), &json!({ "entry": entry, "pieces_n": 0 })).await;
    assert!(none.fault("pieces_n").contains("1 to 100000"));
    let off = json!({ "revision": 2, "archived": true });
    let undo = workshop.post(&format!("/api/picks/{id}/archive"), &off).await.json()["undo"].clone();
    assert_eq!(workshop.get("/api/picks").await.json().as_array().unwrap().len(), 3);
    workshop.post(&format!("/api/undo/{undo}"), &json!({})).await;
    assert_eq!(workshop.get("/api/picks").await.json().as_array().unwrap().len(), 4);
    let unknown = workshop.post("/api/picks", &json!({ "entry": 9999, "pieces_n": 1 })).await;
    assert!(unknown.fault("entry").contains("There is no saved plan, finding or chain number"));
}

/// Thirty lots of a plan do not fit on a page: every page is A4, and they say what the table says.
#[tokio::test]
async fn a_plan_goes_on_paper_over_as_many_pages_as_it_takes_and_into_a_table() {
    let workshop = Workshop::demo();
    let stock: Vec<Value> =
        (0..30).map(|i| json!({ "id": i.to_string(), "length_mm": 130 + i, "kind": "offcut" })).collect();
    let of = json!({ "stock": stock, "demand": [{ "id": "hooks & eyes", "length_mm": 61.5, "n": 62 }], "trim_mm": 0.5,
        "shortest_useful_mm": 40 });
    let plan = solved(&workshop, &of).await;
    let names = json!({ "0": "=First <rest>" });
    let sheet = json!({ "wire": { "metal": "copper", "size_mm": 1 }, "plan": plan, "names": names });
    let reply = workshop.post("/api/cut-plans/files/cut-plan.pdf", &sheet).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    let pdf = Pdf::new(reply.bytes.clone()).unwrap();
    let pages = pdf.pages();
    assert!(pages.len() >= 2, "{}", pages.len());
    for page in pages.iter() {
        let (width, height) = page.render_dimensions();
        assert!((width - 595.276).abs() < 0.5 && (height - 841.89).abs() < 0.5, "{width} × {height}");
    }
    let text = workshop.post("/api/cut-plans/files/cut-plan.csv", &sheet).await.text();
    let mut table = csv::Reader::from_reader(text.as_bytes());
    let rows: Vec<csv::StringRecord> = table.records().map(Result::unwrap).collect();
    let blanks: u32 = rows.iter().map(|row| row[5].parse::<u32>().unwrap()).sum();
    assert_eq!(blanks, 62);
    assert!(rows.iter().any(|row| &row[0] == "'=First <rest>"));
    assert!(rows.iter().any(|row| &row[1] == "short"));
    let unknown = workshop.post("/api/cut-plans/files/cut-plan.docx", &sheet).await;
    assert_eq!(unknown.status, StatusCode::NOT_FOUND);
    let mut wrong = sheet;
    wrong["plan"]["stock"][0]["length_mm"] = json!(-1);
    let refused = workshop.post("/api/cut-plans/files/cut-plan.pdf", &wrong).await;
    assert!(refused.fault("plan.stock[0].length_mm").contains("negative"));
}

#[tokio::test]
async fn what_is_kept_and_picked_says_what_to_buy() {
    let workshop = Workshop::empty();
    let wire = json!({ "metal": "copper", "size_mm": 1.0 });
    let keeping = json!({ "wire": wire, "keep_mm": 5000, "pack_mm": 10_000, "pack_price": "5.20" });
    workshop.put("/api/settings/wires", &keeping).await;
    let need = workshop.get("/api/buying-list").await.json()[0].clone();
    assert_eq!(
        (&need["missing_mm"], &need["packs_n"], &need["cost"]),
        (&json!(5000.0), &json!(1), &json!("5.20"))
    );
    // Said anew, it stands in place of what was said before.
    let more =
        json!({ "wire": { "metal": "copper", "size_mm": 1.001 }, "keep_mm": 25_000, "pack_mm": 10_000 });
    let written = workshop.put("/api/settings/wires", &more).await.json();
    let needs = workshop.get("/api/buying-list").await.json();
    assert_eq!((needs.as_array().unwrap().len(), &needs[0]["packs_n"]), (1, &json!(3)));
    let how = workshop.post("/api/settings/wires/of", &wire).await.json();
    assert_eq!((&how["keeping"]["keep_mm"], &how["usual_shortest_mm"]), (&json!(25_000.0), &json!(30.0)));
    let other =
        workshop.post("/api/settings/wires/of", &json!({ "metal": "brass", "size_mm": 2.0 })).await.json();
    assert_eq!((&other["keeping"]["keep_mm"], &other["usual_shortest_mm"]), (&json!(0.0), &json!(50.0)));
    workshop.post(&format!("/api/undo/{}", written["undo"]), &json!({})).await;
    assert_eq!(workshop.get("/api/buying-list").await.json()[0]["packs_n"], 1);
    let wrong = workshop.put("/api/settings/wires", &json!({ "wire": wire, "keep_mm": -1 })).await;
    assert!(wrong.fault("keep_mm").contains("negative"));
}

#[tokio::test]
async fn scrap_lies_on_its_pile_and_no_more_is_taken_than_lies_there() {
    let workshop = Workshop::empty();
    let feed = workshop.get("/api/metal-prices/feed").await.json();
    let settings = json!({ "workshop_name": "", "unit": "mm", "gauge": "awg", "theme": "device", "currency": "florins",
        "hour_rate": "24", "metal_prices": feed["prices"] });
    assert_eq!(workshop.put("/api/settings?revision=0", &settings).await.status, StatusCode::OK);
    let change = |grams: f64| json!({ "metal": "sterling-silver", "cleanliness": "clean", "mass_g": grams });
    let put = workshop.post("/api/scrap", &change(10.0)).await;
    assert_eq!(put.status, StatusCode::CREATED, "{}", put.text());
    let heap = workshop.get("/api/scrap").await.json();
    // 10 g · 1.05 · 0.95.
    assert_eq!((&heap["piles"][0]["value"], &heap["value"]), (&json!("9.98"), &json!("9.98")));
    assert!(workshop.post("/api/scrap", &change(-10.5)).await.fault("mass_g").contains("10 g are left"));
    assert!(workshop.post("/api/scrap", &change(0.0)).await.fault("mass_g").contains("zero"));
    workshop.post("/api/scrap", &change(-4.0)).await;
    assert_eq!(workshop.get("/api/scrap").await.json()["piles"][0]["mass_g"], 6.0);
    workshop.post(&format!("/api/undo/{}", put.json()["undo"]), &json!({})).await;
    assert_eq!(workshop.get("/api/scrap").await.json()["piles"][0]["mass_g"], 6.0);
}

#[tokio::test]
async fn wires_are_chosen_compared_and_costed_with_the_workshops_prices() {
    let workshop = Workshop::demo();
    let piece = json!({ "finding": { "kind": "open-ear-wire", "wire": { "metal": "sterling-silver", "size_mm": 0.8118, "temper": "half-hard" } } });
    let reply = workshop.post("/api/wires/choose", &json!({ "purpose": piece, "bears_n": 0.3 })).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    let found = reply.json();
    let first = &found["candidates"][0];
    assert!(first["cost"].is_string() && !first["reasons"].as_array().unwrap().is_empty());
    let wires = json!([first["wire"], found["candidates"][1]["wire"]]);
    let side = workshop
        .post("/api/wires/compare", &json!({ "request": { "purpose": piece }, "wires": wires }))
        .await;
    assert_eq!(side.json().as_array().unwrap().len(), 2, "{}", side.text());
    let wrong = workshop.post("/api/wires/choose", &json!({ "purpose": piece, "joined": "glued" })).await;
    assert!(wrong.fault("joined").contains("soldered"), "{}", wrong.text());

    let start = workshop.post("/api/costs/start", &piece).await.json();
    assert_eq!(start["request"]["hour_rate"], "24.00");
    let cost = workshop.post("/api/costs", &start["request"]).await;
    assert_eq!(cost.status, StatusCode::OK, "{}", cost.text());
    let mut wrong = start["request"].clone();
    wrong["minutes"] = json!(-1);
    assert!(workshop.post("/api/costs", &wrong).await.fault("minutes").contains("negative"));
    wrong["minutes"] = json!(1);
    wrong["wire_price"] = json!("much");
    assert!(!workshop.post("/api/costs", &wrong).await.fault("wire_price").is_empty());
}

#[tokio::test]
async fn an_amount_is_read_as_it_is_typed() {
    let workshop = Workshop::empty();
    let wire = json!({ "metal": "copper", "size_mm": 1.0 });
    let both = workshop.post("/api/wires/weigh", &json!({ "wire": wire, "typed": "10 ft" })).await.json();
    assert!((number(&both["length_mm"]) - 3048.0).abs() < 1e-9);
    let back =
        workshop.post("/api/wires/weigh", &json!({ "wire": wire, "mass_g": both["mass_g"] })).await.json();
    assert!((number(&back["length_mm"]) - 3048.0).abs() < 1e-6);
    let wrong = workshop.post("/api/wires/weigh", &json!({ "wire": wire, "typed": "some" })).await;
    assert!(wrong.fault("typed").contains("some"), "{}", wrong.text());
}

#[tokio::test]
async fn lots_are_found_filtered_and_counted() {
    let workshop = Workshop::demo();
    let total = async |query: &str| {
        workshop.get(&format!("/api/lots?{query}")).await.json()["total"].as_i64().unwrap()
    };
    assert_eq!(total("").await, 18);
    assert_eq!(total("used_up=true").await, 1);
    assert_eq!(total("metal=brass").await, 4);
    assert_eq!(total("metal=brass&kind=straight").await, 2);
    assert_eq!(total("find=blue%20spool").await, 1);
    assert_eq!(total("find=%25").await, 0);
    // The next small piece comes from the shortest rest that gives it.
    let holds = workshop.get("/api/lots?metal=brass&holds_mm=320").await.json();
    let names: Vec<&str> =
        holds["lots"].as_array().unwrap().iter().map(|lot| lot["name"].as_str().unwrap()).collect();
    assert_eq!(names, ["Brass straights 1", "Brass straights 2", "Stage brass"]);
    let rack = workshop.get("/api/lots?metal=brass").await.json();
    let sum: f64 = rack["lots"].as_array().unwrap().iter().map(|lot| number(&lot["balance"]["left_g"])).sum();
    let metals = workshop.get("/api/lots/metals").await.json();
    let brass = metals.as_array().unwrap().iter().find(|one| one["metal"] == "brass").unwrap();
    assert!((number(&brass["left_g"]) - sum).abs() < 1e-6);
    assert_eq!(brass["lots_n"], 4);
    let wrong = workshop.get("/api/lots?metal=wood").await;
    assert!(wrong.fault("metal").contains("wood"), "{}", wrong.text());
}
