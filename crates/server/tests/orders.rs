//! From an order to a labelled bag: what covers what, what is handed over, what is printed, what stands in the calendar.
#![allow(clippy::unwrap_used, missing_docs)]

use axum::http::StatusCode;
use rstest::rstest;
use serde_json::{Value, json};

use crate::common::Workshop;
use crate::printed::Printed;

/// Keeps a hook clasp; gives its number.
async fn kept(workshop: &Workshop) -> i64 {
    let request = json!({ "kind": "hook-clasp", "wire": { "metal": "copper", "size_mm": 1.2908 } });
    let kept = workshop.post("/api/findings", &json!({ "name": "hooks", "request": request })).await;
    kept.json()["entry"]["id"].as_i64().unwrap()
}

async fn ordered(workshop: &Workshop, order: &Value) -> Value {
    let reply = workshop.post("/api/orders", order).await;
    assert_eq!(reply.status, StatusCode::CREATED, "{}", reply.text());
    reply.json()["entry"].clone()
}

async fn line(workshop: &Workshop) -> Value {
    workshop.get("/api/orders").await.json()[0]["lines"][0].clone()
}

/// Everything of a batch is done.
async fn made(workshop: &Workshop, id: i64) {
    let led = workshop.get(&format!("/api/batches/{id}")).await.json();
    for (i, task) in led["tasks"].as_array().unwrap().iter().enumerate() {
        let press =
            json!({ "key": format!("press-{id}-{i}"), "step_n": i + 1, "kind": "done", "n": task["n"] });
        let reply = workshop.post(&format!("/api/batches/{id}/events"), &press).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    }
}

async fn bagged(workshop: &Workshop, id: i64, place: &str) -> Value {
    let reply = workshop.post(&format!("/api/batches/{id}/bag"), &json!({ "place": place })).await;
    assert_eq!(reply.status, StatusCode::CREATED, "{}", reply.text());
    reply.json()["entry"].clone()
}

#[tokio::test]
async fn an_order_is_made_bagged_and_handed_over() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let order = json!({ "customer": "wardrobe", "due": "2099-05-01",
        "lines": [{ "entry": entry, "pieces_n": 10, "spares_percent": 10.0 }] });
    let order = ordered(&workshop, &order).await;
    let at = line(&workshop).await;
    assert_eq!(
        (&at["to_make_n"], &at["state"], &at["wanted"]),
        (&json!(11), &json!("to-make"), &json!("10 pieces"))
    );
    let begin = format!("/api/orders/{}/lines/0/begin", order["id"]);
    // Pressed twice at once, it begins one batch.
    let once = json!({});
    let (one, other) = tokio::join!(workshop.post(&begin, &once), workshop.post(&begin, &once));
    let (batch, again) = if one.status == StatusCode::CREATED { (one, other) } else { (other, one) };
    assert_eq!(again.status, StatusCode::UNPROCESSABLE_ENTITY, "{}", again.text());
    assert_eq!(batch.status, StatusCode::CREATED, "{}", batch.text());
    let batch = batch.json()["entry"]["id"].as_i64().unwrap();
    assert_eq!(line(&workshop).await["state"], "in-the-making");
    let again = workshop.post(&begin, &json!({})).await;
    assert!(again.fault("pieces_n").contains("in progress"), "{}", again.text());
    // Not before it is done.
    let early = workshop.post(&format!("/api/batches/{batch}/bag"), &json!({})).await;
    assert!(early.fault("batch").contains("isn't done yet"), "{}", early.text());
    made(&workshop, batch).await;
    let bag = bagged(&workshop, batch, "drawer 4").await;
    assert_eq!((&bag["record"]["n"], &bag["record"]["batch"]), (&json!(11), &json!(batch)));
    assert_eq!(workshop.get("/api/batches").await.json(), json!([]));
    assert_eq!(line(&workshop).await["state"], "ready");
    let over = format!("/api/orders/{}/hand-over", order["id"]);
    let much = workshop.post(&over, &json!({ "revision": 1, "line": 0, "n": 11 })).await;
    assert!(much.fault("n").contains("10 of hooks are still owed"), "{}", much.text());
    let handed = workshop.post(&over, &json!({ "revision": 1, "line": 0, "n": 10 })).await;
    assert_eq!(handed.status, StatusCode::OK, "{}", handed.text());
    assert_eq!(line(&workshop).await["state"], "handed-over");
    let bag_n = async || {
        workshop.get(&format!("/api/bags/{}", bag["id"])).await.json()["entry"]["record"]["n"].clone()
    };
    assert_eq!(bag_n().await, json!(1));
    // Taken back as one: the bag is full again, and the line owed.
    let undo = format!("/api/undo/{}", handed.json()["undo"]);
    assert_eq!(workshop.post(&undo, &json!({})).await.status, StatusCode::OK);
    assert_eq!((bag_n().await, line(&workshop).await["to_deliver_n"].clone()), (json!(11), json!(10)));
}

#[tokio::test]
async fn filling_a_bag_can_be_taken_back() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let batch = workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": 2 })).await;
    let batch = batch.json()["entry"]["id"].as_i64().unwrap();
    made(&workshop, batch).await;
    let filled = workshop.post(&format!("/api/batches/{batch}/bag"), &json!({ "place": "x" })).await.json();
    let twice = workshop.post(&format!("/api/batches/{batch}/bag"), &json!({})).await;
    assert!(twice.fault("batch").contains("This batch is closed. Reopen it first"), "{}", twice.text());
    let undone = workshop.post(&format!("/api/undo/{}", filled["undo"]), &json!({})).await;
    assert_eq!(undone.status, StatusCode::OK, "{}", undone.text());
    assert_eq!(workshop.get("/api/bags").await.json()["total"], 0);
    assert_eq!(workshop.get("/api/batches").await.json()[0]["id"], json!(batch));
}

#[tokio::test]
async fn a_bag_keeps_the_recipe_of_its_day() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let batch = workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": 2 })).await;
    let batch = batch.json()["entry"]["id"].as_i64().unwrap();
    made(&workshop, batch).await;
    let bag = bagged(&workshop, batch, "").await;
    let cut = async || {
        let made = workshop.get(&format!("/api/bags/{}", bag["id"])).await.json();
        let tasks = made["tasks"].as_array().unwrap().clone();
        tasks.iter().find(|task| task["step"]["operation"] == "cut").unwrap()["number"].clone()
    };
    let then = cut().await;
    // The kept pattern becomes another, and the workshop another method.
    let request = json!({ "kind": "hook-clasp", "wire": { "metal": "copper", "size_mm": 1.63 } });
    let changed = workshop
        .put(&format!("/api/findings/{entry}?revision=1"), &json!({ "name": "hooks", "request": request }))
        .await;
    assert_eq!(changed.status, StatusCode::OK, "{}", changed.text());
    assert_eq!(cut().await, then);
    let again =
        workshop.post(&format!("/api/bags/{}/again", bag["id"]), &json!({ "pieces_n": 7 })).await.json();
    assert_eq!(again["entry"]["record"]["piece"]["finding"]["wire"]["size_mm"], json!(1.2908));
    assert_eq!(again["entry"]["record"]["piece"]["finding"]["pieces_n"], json!(7));
}

#[tokio::test]
async fn counts_of_a_bag_keep_their_history_and_their_limits() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let bag =
        workshop.post("/api/bags", &json!({ "entry": entry, "pieces_n": 20, "place": "tin" })).await.json();
    let path = format!("/api/bags/{}/count", bag["entry"]["id"]);
    let count = async |revision: i64, counting: &str, n: u32| {
        workshop.post(&path, &json!({ "revision": revision, "counting": counting, "n": n })).await
    };
    assert_eq!(count(1, "taken-out", 5).await.json()["entry"]["record"]["n"], 15);
    assert_eq!(count(1, "taken-out", 5).await.status, StatusCode::CONFLICT);
    assert_eq!(count(2, "put-back", 2).await.json()["entry"]["record"]["n"], 17);
    assert!(count(3, "taken-out", 18).await.fault("n").contains("there are 17 in it"));
    assert_eq!(count(3, "counted-again", 0).await.json()["entry"]["record"]["n"], 0);
    let moved = json!({ "name": "hooks", "place": "drawer 2", "note": "left-handed" });
    let moved = workshop.put(&format!("/api/bags/{}?revision=4", bag["entry"]["id"]), &moved).await.json();
    assert_eq!(moved["entry"]["record"]["place"], "drawer 2");
}

#[rstest]
#[case(json!({ "lines": [] }), "lines")]
#[case(json!({ "lines": [{ "pieces_n": 3 }] }), "lines[0].entry")]
#[case(json!({ "lines": [{ "entry": 99, "pieces_n": 3 }] }), "lines[0].entry")]
#[case(json!({ "lines": [{ "entry": 1, "pieces_n": 0 }] }), "lines[0].pieces_n")]
#[case(json!({ "lines": [{ "entry": 1, "pieces_n": 3, "spares_percent": 130 }] }), "lines[0].spares_percent")]
#[case(json!({ "lines": [{ "entry": 1, "pieces_n": 3 }], "customer": "x".repeat(90) }), "customer")]
#[tokio::test]
async fn what_cannot_be_ordered_is_said_at_its_field(#[case] order: Value, #[case] field: &str) {
    let workshop = Workshop::empty();
    kept(&workshop).await;
    let refused = workshop.post("/api/orders", &order).await;
    assert_eq!(refused.status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(!refused.fault(field).is_empty(), "{}", refused.text());
    let dated = workshop
        .post("/api/orders", &json!({ "due": "31 May", "lines": [{ "entry": 1, "pieces_n": 1 }] }))
        .await;
    assert!(dated.fault("due").contains("a day as 2026-03-02"), "{}", dated.text());
}

#[tokio::test]
async fn a_cut_plan_is_over_everything_open_and_books_what_is_picked() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let lot = json!({ "lot": { "name": "coil", "wire": { "metal": "copper", "size_mm": 1.2908 } }, "length_mm": 300 });
    let lot = workshop.post("/api/lots", &lot).await.json()["lot"]["id"].clone();
    workshop.post("/api/picks", &json!({ "entry": entry, "pieces_n": 2 })).await;
    workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": 3 })).await;
    ordered(&workshop, &json!({ "lines": [{ "entry": entry, "pieces_n": 8 }] })).await;
    let wanted = workshop.get("/api/cut-plans/wanted").await.json();
    let demands = wanted[0]["demand"].as_array().unwrap();
    let n: Vec<u64> = demands.iter().map(|one| one["n"].as_u64().unwrap()).collect();
    // Three of the eight are on their way.
    assert_eq!(n, [2, 3, 5]);
    let bench = wanted[0]["at_the_bench"].as_array().unwrap();
    assert_eq!(bench.len(), 2, "{bench:?}");
    let cut = |what: &Value, n: u32| json!({ "what": what, "length_mm": 60.0, "n": n });
    let book = |cuts: Vec<Value>| {
        json!({ "lots": [{ "lot": lot, "cuts": cuts, "trim_mm": 0, "kerf_mm": 0, "shortest_useful_mm": 250 }],
            "picks": wanted[0]["picks"] })
    };
    let only = workshop.post("/api/cut-plans/book", &book(vec![cut(&bench[0], 3)])).await;
    assert!(
        only.fault("lots")
            .contains("All of this is for batches and orders: it is booked at the bench as you cut"),
        "{}",
        only.text()
    );
    let both = vec![cut(&demands[0]["id"], 2), cut(&bench[0], 3)];
    let booked = workshop.post("/api/cut-plans/book", &book(both)).await;
    assert_eq!(booked.status, StatusCode::CREATED, "{}", booked.text());
    let left = workshop.get("/api/lots").await.json()["lots"][0]["balance"]["left_mm"].as_f64().unwrap();
    // What is left goes on to the bench, though it is shorter than what is usually kept.
    assert!((left - 180.0).abs() < 1e-6, "{left}");
}

/// Reads the first code on a page of PDF with a reader of another's making.
fn code(pdf: &[u8]) -> String {
    let page = Printed::page(pdf, 12.0);
    let (width, height) = page.size_px();
    let mut picture = rqrr::PreparedImage::prepare_from_greyscale(width, height, |x, y| page.grey(x, y));
    let grids = picture.detect_grids();
    assert_eq!(grids.len(), 1, "one code is on the label");
    grids[0].decode().unwrap().1
}

#[rstest]
#[case(None)]
#[case(Some(json!({ "width_mm": 60.0, "height_mm": 40.0, "columns_n": 3, "rows_n": 7, "left_mm": 10.0, "top_mm": 5.0,
    "gap_across_mm": 5.0, "gap_down_mm": 0.5, "sheet_width_mm": 210.0, "sheet_height_mm": 297.0 })))]
#[tokio::test]
async fn labels_are_true_to_size_and_their_code_is_read(#[case] paper: Option<Value>) {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let bag =
        workshop.post("/api/bags", &json!({ "entry": entry, "pieces_n": 20, "place": "tin 3" })).await.json();
    let id = bag["entry"]["id"].as_i64().unwrap();
    let host = crate::common::ADDRESS;
    let single = workshop.get(&format!("/api/bags/{id}/files/label.pdf")).await;
    assert_eq!(code(&single.bytes), format!("http://{host}/bag/{id}"));
    let page = Printed::page(&single.bytes, 10.0);
    let (width, height) = page.size_px();
    assert!(width.abs_diff(800) <= 1 && height.abs_diff(450) <= 1, "{width} × {height}");
    // A sheet: three labels, the first four places used up before.
    let labels = json!({ "bags": [id, id, id], "used_n": 4, "paper": paper });
    let sheet = workshop.post("/api/labels/labels.pdf", &labels).await;
    assert_eq!(sheet.status, StatusCode::OK, "{}", sheet.text());
    let page = Printed::page(&sheet.bytes, 4.0);
    let p = paper.unwrap_or_else(|| serde_json::to_value(default_paper()).unwrap());
    let f = |key: &str| p[key].as_f64().unwrap();
    let columns = p["columns_n"].as_u64().unwrap();
    for place in 0..columns * p["rows_n"].as_u64().unwrap() {
        #[expect(clippy::cast_precision_loss, reason = "a few labels")]
        let (column, row) = ((place % columns) as f64, (place / columns) as f64);
        let x = f("left_mm") + column * (f("width_mm") + f("gap_across_mm"));
        let y = f("top_mm") + row * (f("height_mm") + f("gap_down_mm"));
        let inked = page.has(x..x + f("width_mm"), y..y + f("height_mm"));
        assert_eq!(inked, (4..7).contains(&place), "place {place}");
    }
    let svg = workshop.get(&format!("/api/bags/{id}/files/label.svg")).await.text();
    let document = roxmltree::Document::parse(&svg).unwrap();
    assert_eq!(document.root_element().attribute("width"), Some("80mm"));
    let texts: Vec<&str> = document.descendants().filter_map(|node| node.text()).collect();
    for text in ["hooks", "20 pieces", "tin 3"] {
        assert!(texts.contains(&text), "{text}: {texts:?}");
    }
    let all = texts.join(" ");
    assert!(all.contains("1.29 mm") && all.contains("(16 AWG)") && all.contains("soft copper"), "{texts:?}");
}

fn default_paper() -> Value {
    json!({ "width_mm": 80.0, "height_mm": 45.0, "columns_n": 2, "rows_n": 6, "left_mm": 20.0, "top_mm": 13.5,
        "gap_across_mm": 10.0, "gap_down_mm": 0.0 })
}

#[tokio::test]
async fn labels_that_do_not_stand_on_their_sheet_are_refused() {
    let workshop = Workshop::empty();
    let wide = json!({ "width_mm": 80.0, "columns_n": 3 });
    let refused = workshop.post("/api/labels/labels.pdf", &json!({ "bags": [1], "paper": wide })).await;
    assert!(refused.fault("paper.columns_n").contains("210.0 mm"), "{}", refused.text());
    let none = workshop.post("/api/labels/labels.pdf", &json!({ "bags": [] })).await;
    assert!(!none.fault("bags").is_empty());
}

#[tokio::test]
async fn the_simulated_printer_keeps_what_it_was_sent() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let bag = workshop.post("/api/bags", &json!({ "entry": entry, "pieces_n": 20 })).await.json();
    assert_eq!(workshop.get("/api/printer").await.json(), json!([]));
    let id = &bag["entry"]["id"];
    let printed = workshop.post("/api/labels/print", &json!({ "bags": [id, id] })).await;
    assert_eq!(printed.json(), json!({ "labels_n": 2, "simulated": true }));
    let tray = workshop.get("/api/printer").await.json();
    assert_eq!(tray[0]["n"], 1);
    let sheet = workshop.get("/api/printer/1").await;
    assert!(code(&sheet.bytes).ends_with(&format!("/bag/{id}")));
    assert_eq!(workshop.get("/api/printer/2").await.status, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn the_simulated_winder_counts_and_stops() {
    let workshop = Workshop::empty();
    assert_eq!(workshop.get("/api/winder").await.json()["turns_n"], 0);
    let run = json!({ "run": { "from_n": 4.0, "to_n": 5.0 } });
    let started = workshop.post("/api/winder/treadle", &run).await.json();
    assert!(started["turns_n"] == 4 && started["simulated"] == true, "{started}");
    loop {
        let reading = workshop.get("/api/winder").await.json();
        if reading["turns_n"] == 5 {
            break;
        }
        assert_eq!(reading["turns_n"], 4);
    }
    assert_eq!(workshop.post("/api/winder/treadle", &json!("stop")).await.json()["turns_n"], 5);
    let refused =
        workshop.post("/api/winder/treadle", &json!({ "run": { "from_n": -1.0, "to_n": 5.0 } })).await;
    assert!(!refused.fault("run.from_n").is_empty());
}

/// Sessions are planned over what is ordered and begun; the calendar is read by a reader of another's making.
#[tokio::test]
async fn the_calendar_says_what_is_planned() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    ordered(&workshop, &json!({ "customer": "stall", "lines": [{ "entry": entry, "pieces_n": 400 }] })).await;
    let kept = workshop.get("/api/settings").await.json();
    let mut settings = kept["settings"].clone();
    settings["time_zone"] = json!("Europe/Vienna");
    let days = ["monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday"];
    let evening = |day: &&str| json!({ "day": day, "from": "18:00", "to": "20:00" });
    settings["hours"]["weekly"] = days.iter().map(evening).collect();
    let put = workshop.put(&format!("/api/settings?revision={}", kept["revision"]), &settings).await;
    assert_eq!(put.status, StatusCode::OK, "{}", put.text());
    let planned = workshop.get("/api/schedule").await.json();
    assert_eq!(planned["zone"], "Europe/Vienna");
    let with_work: Vec<&Value> = planned["agenda"]["sessions"]
        .as_array()
        .unwrap()
        .iter()
        .filter(|one| !one["runs"].as_array().unwrap().is_empty())
        .collect();
    assert!(with_work.len() > 1, "{}", planned["agenda"]);
    let text = workshop.get("/api/schedule/files/schedule.ics").await.text();
    let calendar = ical::IcalParser::new(text.as_bytes()).next().unwrap().unwrap();
    let sessions: Vec<_> = calendar
        .events
        .iter()
        .filter(|event| {
            let uid = event.properties.iter().find(|one| one.name == "UID").unwrap();
            uid.value.as_ref().unwrap().starts_with("session-")
        })
        .collect();
    assert_eq!(sessions.len(), with_work.len());
    let mut uids = std::collections::BTreeSet::new();
    for event in &calendar.events {
        let of = |name: &str| {
            let found: Vec<_> = event.properties.iter().filter(|one| one.name == name).collect();
            assert_eq!(found.len(), 1, "one {name}");
            found[0].value.clone().unwrap()
        };
        assert!(uids.insert(of("UID")), "each event has its own");
        assert!(of("DTSTART").ends_with('Z') && of("DTSTART") < of("DTEND"), "{}", of("DTSTART"));
    }
    for (event, session) in sessions.iter().zip(&with_work) {
        let start = event.properties.iter().find(|one| one.name == "DTSTART").unwrap();
        let start = start.value.clone().unwrap();
        let from = session["from"].as_str().unwrap().replace(['-', ':'], "");
        assert_eq!(start, from);
    }
    // The same lines as on the screen, and the same events however often they are asked for.
    let told = |event: &ical::parser::ical::component::IcalEvent| {
        let told = event.properties.iter().find(|one| one.name == "DESCRIPTION").unwrap();
        told.value.clone().unwrap().replace("\\,", ",")
    };
    for (event, session) in sessions.iter().zip(&with_work) {
        for run in session["runs"].as_array().unwrap() {
            let line =
                format!("{}, {}", run["counted"].as_str().unwrap(), run["steps_text"].as_str().unwrap());
            assert!(told(event).contains(&line), "{} {line}", told(event));
        }
    }
    let again = workshop.get("/api/schedule/files/schedule.ics").await.text();
    let calendar = ical::IcalParser::new(again.as_bytes()).next().unwrap().unwrap();
    let uid = |event: &ical::parser::ical::component::IcalEvent| {
        event.properties.iter().find(|one| one.name == "UID").unwrap().value.clone().unwrap()
    };
    assert_eq!(calendar.events.iter().map(uid).collect::<std::collections::BTreeSet<_>>(), uids);
    let pdf = workshop.get("/api/schedule/files/day.pdf").await;
    assert!(Printed::page(&pdf.bytes, 4.0).has(16.0..190.0, 28.0..60.0));
    assert_eq!(workshop.get("/api/schedule/files/day.docx").await.status, StatusCode::NOT_FOUND);
}

/// Two evenings and a Saturday morning at the bench.
async fn with_hours(workshop: &Workshop) {
    let there = workshop.get("/api/settings").await.json();
    let mut settings = there["settings"].clone();
    let time = |day: &str, from: &str, to: &str| json!({ "day": day, "from": from, "to": to });
    settings["hours"]["weekly"] = json!([
        time("tuesday", "18:00:00", "20:00:00"),
        time("thursday", "18:00:00", "20:00:00"),
        time("saturday", "09:00:00", "12:00:00"),
    ]);
    let path = format!("/api/settings?revision={}", there["revision"]);
    workshop.put(&path, &settings).await.json();
}

/// Nobody's hours are made up: a new workshop is asked for them before a day is promised.
#[tokio::test]
async fn a_workshop_without_hours_promises_no_day() {
    let workshop = Workshop::empty();
    let lines = json!([{ "entry": kept(&workshop).await, "pieces_n": 10 }]);
    let promise = workshop.post("/api/orders/promise", &json!({ "customer": "stall", "lines": lines })).await;
    let promise = promise.json();
    assert!(promise.get("ready_on").is_none(), "{promise}");
    assert!(promise["text"].as_str().unwrap().contains("hours"), "{promise}");
}

/// While an order is typed it is said when it can be ready beside everything else, and whom its due day would make wait.
#[tokio::test]
async fn a_day_is_promised_before_an_order_is_taken() {
    let workshop = Workshop::empty();
    with_hours(&workshop).await;
    let entry = kept(&workshop).await;
    let line = |n: u32| json!([{ "entry": entry, "pieces_n": n }]);
    let promise = async |order: Value| workshop.post("/api/orders/promise", &order).await.json();
    let soon = promise(json!({ "customer": "stall", "lines": line(10) })).await;
    let on: jiff::civil::Date = soon["ready_on"].as_str().unwrap().parse().unwrap();
    assert!(soon["text"].as_str().unwrap().starts_with("Ready "), "{soon}");
    assert_eq!(soon["pushes"], json!([]));
    // Nothing was taken.
    assert_eq!(workshop.get("/api/orders").await.json(), json!([]));
    // What is due already comes first.
    let due = on.checked_add(jiff::Span::new().days(9)).unwrap();
    ordered(&workshop, &json!({ "customer": "theatre", "due": due, "lines": line(400) })).await;
    let later = promise(json!({ "customer": "stall", "lines": line(10) })).await;
    let then: jiff::civil::Date = later["ready_on"].as_str().unwrap().parse().unwrap();
    assert!(then >= on, "{soon} {later}");
    // As much again, due before it: somebody has to wait.
    let pushed = promise(json!({ "customer": "stall", "due": on, "lines": line(400) })).await;
    let told = pushed["text"].as_str().unwrap();
    let late = told.contains("after its due date") || told.contains("No time left");
    assert!(late || pushed["pushes"].as_array().is_some_and(|all| !all.is_empty()), "{pushed}");
    // Due no day, it is never told as due one, however late it would be.
    let never = promise(json!({ "customer": "stall", "lines": line(50_000) })).await;
    let told = never["text"].as_str().unwrap();
    assert!(
        never.get("ready_on").is_none() && told.contains("No time left") && !told.contains("due"),
        "{never}"
    );
    let wrong = workshop.post("/api/orders/promise", &json!({ "lines": [] })).await;
    assert!(!wrong.fault("lines").is_empty());
}

#[tokio::test]
async fn what_is_held_by_hand_is_kept_and_let_go() {
    let workshop = Workshop::empty();
    with_hours(&workshop).await;
    let entry = kept(&workshop).await;
    let batch = workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": 6 })).await.json();
    let first = async || {
        let planned = workshop.get("/api/schedule").await.json();
        let sessions = planned["agenda"]["sessions"].as_array().unwrap().clone();
        let at = sessions.iter().position(|one| !one["runs"].as_array().unwrap().is_empty());
        (sessions, at.unwrap(), planned["holds"].clone())
    };
    let (sessions, at, _) = first().await;
    let skipped =
        workshop.post("/api/schedule/changes", &json!({ "skipped": { "from": sessions[at]["from"] } })).await;
    assert_eq!(skipped.status, StatusCode::CREATED, "{}", skipped.text());
    let (after, later, holds) = first().await;
    assert!(later > at && after[at]["skipped"] == true);
    assert_eq!(holds.as_array().unwrap().len(), 1);
    let id = &skipped.json()["entry"]["id"];
    let let_go = workshop
        .post(&format!("/api/schedule/changes/{id}/archive"), &json!({ "revision": 1, "archived": true }))
        .await;
    assert_eq!(let_go.status, StatusCode::OK);
    assert_eq!(first().await.1, at);
    let of = json!({ "batch": batch["entry"]["id"] });
    let pin = json!({ "not-before": { "of": of, "step_n": 1, "at": after[later]["from"] } });
    assert_eq!(workshop.post("/api/schedule/changes", &pin).await.status, StatusCode::CREATED);
    let none = json!({ "not-before": { "of": { "batch": 9999 }, "step_n": 1, "at": after[later]["from"] } });
    assert!(workshop.post("/api/schedule/changes", &none).await.fault("of").contains("no such step"));
    let (held, then, _) = first().await;
    assert_eq!(then, later);
    assert_eq!(held[then]["runs"][0]["because"], "pinned");
    let together = workshop.get("/api/schedule/shared").await.json();
    assert_eq!(together, json!({ "passes": [], "loads": [] }));
}

#[tokio::test]
async fn how_a_batch_is_made_is_changed_before_it_is_begun() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let batch = workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": 3 })).await.json();
    let id = batch["entry"]["id"].as_i64().unwrap();
    let operations = async || {
        let led = workshop.get(&format!("/api/batches/{id}")).await.json();
        let tasks = led["tasks"].as_array().unwrap().clone();
        tasks.iter().map(|task| task["step"]["operation"].as_str().unwrap().to_owned()).collect::<Vec<_>>()
    };
    assert!(!operations().await.contains(&"tumble".to_owned()));
    let tumbled = json!({ "methods": { "hardening": "tumble" } });
    let path = |revision: i64| format!("/api/batches/{id}/making?revision={revision}");
    let changed = workshop.put(&path(1), &tumbled).await;
    assert_eq!(changed.status, StatusCode::OK, "{}", changed.text());
    assert!(operations().await.contains(&"tumble".to_owned()));
    // The plan it was begun from stays as it is.
    let plan = workshop.get(&format!("/api/findings/{entry}")).await.json();
    assert!(plan["record"]["request"].get("route").is_none(), "{plan}");
    let press = json!({ "key": "press-one-1", "step_n": 1, "kind": "done", "n": 1 });
    workshop.post(&format!("/api/batches/{id}/events"), &press).await;
    let late = workshop.put(&path(2), &json!({})).await;
    assert!(late.fault("changes").contains("has been started"), "{}", late.text());
}

#[tokio::test]
async fn a_single_piece_leads_to_its_recipe() {
    let workshop = Workshop::demo();
    let kept = workshop.get("/api/saved?find=cloak").await.json();
    let piece = &kept["entries"][0];
    let sheet = workshop.post("/api/findings/sheet", &piece["piece"]["finding"]).await.json();
    let side = |way: &str| sheet["result"]["form"][way].as_f64().unwrap();
    let wire = piece["piece"]["finding"]["wire"]["size_mm"].as_f64().unwrap();
    let measured =
        json!({ "wire_mm": wire + 0.02, "long_mm": side("height_mm").max(side("width_mm")) + 0.4 });
    let found = workshop.post("/api/matches", &measured).await.json();
    assert_eq!((&found[0]["entry"], &found[0]["fits"]), (&piece["id"], &json!(true)), "{found}");
    let one = workshop.post("/api/matches", &json!({ "wire_mm": 1.0 })).await;
    assert!(one.fault("long_mm").contains("at least two"), "{}", one.text());
    // Where nothing kept was it, one is worked out, on a rod of this workshop.
    let ring = json!({ "wire_mm": 1.0, "long_mm": 8.1, "short_mm": 8.1, "inside_mm": 6.1 });
    let unknown = |measured: &Value| json!({ "measured": measured, "metal": "fine-silver" });
    let found = workshop.post("/api/matches/recipes", &unknown(&ring)).await.json();
    assert_eq!(found[0]["piece"]["rings"]["wire"]["metal"], "fine-silver", "{found}");
    let no_wire = json!({ "long_mm": 8.1, "short_mm": 8.1 });
    let one = workshop.post("/api/matches/recipes", &unknown(&no_wire)).await;
    assert!(one.fault("wire_mm").contains("measure how thick"), "{}", one.text());
}

/// A line that is nothing but a name leads to everything that is called so.
#[tokio::test]
async fn the_ask_line_finds_what_has_a_name() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    ordered(&workshop, &json!({ "customer": "Lake theatre", "lines": [{ "entry": entry, "pieces_n": 4 }] }))
        .await;
    let asked = async |text: &str| workshop.post("/api/ask", &json!({ "text": text })).await.json();
    let found = asked("where is the lake theatre?").await;
    assert_eq!(found["found"][0]["label"], "order: Lake theatre", "{found}");
    assert!(found["found"][0]["path"].as_str().unwrap().starts_with("/orders?order="), "{found}");
    assert_eq!(found["unclear"], json!([]), "{found}");
    // What is a question stays one, and what is nobody's name is not found.
    let question = asked("120 rings 5 mm inside copper 18 soft").await;
    assert!(question.get("found").is_none() && question["request"].is_object(), "{question}");
    assert!(asked("zanzibar").await.get("found").is_none());
}

/// Everything of an order that is in bags goes out in one press, and comes back in one.
#[tokio::test]
async fn an_order_is_handed_over_whole() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let lines = json!([{ "entry": entry, "pieces_n": 4 }, { "entry": entry, "pieces_n": 2 }]);
    let order = ordered(&workshop, &json!({ "customer": "theatre", "lines": lines })).await;
    let (id, path) = (order["id"].clone(), format!("/api/orders/{}/hand-over-all", order["id"]));
    let refused = workshop.post(&format!("{path}?revision=1"), &json!({})).await;
    assert!(refused.text().contains("in bags yet"), "{}", refused.text());
    workshop.post("/api/bags", &json!({ "entry": entry, "pieces_n": 9, "place": "drawer" })).await.json();
    let handed = workshop.post(&format!("{path}?revision=1"), &json!({})).await.json();
    let of_line = |i: usize| handed["entry"]["record"]["lines"][i]["handed_n"].as_u64();
    assert_eq!((of_line(0), of_line(1)), (Some(4), Some(2)), "{handed}");
    assert_eq!(workshop.get("/api/bags").await.json()["entries"][0]["record"]["n"], 3);
    workshop.post(&format!("/api/undo/{}", handed["undo"]), &json!({})).await.json();
    assert_eq!(workshop.get("/api/bags").await.json()["entries"][0]["record"]["n"], 9);
    let open = workshop.get("/api/orders").await.json();
    let back = open.as_array().unwrap().iter().find(|one| one["id"] == id).unwrap();
    assert!(back["record"]["lines"][0].get("handed_n").is_none_or(|n| n == 0), "{back}");
}

/// A note on a batch is kept, can be taken back, and goes on with its bag.
#[tokio::test]
async fn a_note_on_a_batch_goes_on_with_its_bag() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let batch = workshop.post("/api/batches", &json!({ "entry": entry, "pieces_n": 2 })).await.json();
    let path = format!("/api/batches/{}/note", batch["entry"]["id"]);
    let noted = workshop.put(&format!("{path}?revision=1"), &json!({ "note": " jaw taped " })).await.json();
    assert_eq!(noted["entry"]["record"]["note"], "jaw taped");
    let long = workshop.put(&format!("{path}?revision=2"), &json!({ "note": "x".repeat(401) })).await;
    assert!(long.text().contains("400"), "{}", long.text());
    let stale = workshop.put(&format!("{path}?revision=1"), &json!({ "note": "other" })).await;
    assert_eq!(stale.status, StatusCode::CONFLICT);
    workshop.post(&format!("/api/undo/{}", noted["undo"]), &json!({})).await.json();
    let led = workshop.get(&format!("/api/batches/{}", batch["entry"]["id"])).await.json();
    assert!(led["entry"]["record"].get("note").is_none(), "{}", led["entry"]["record"]);
}

#[tokio::test]
async fn what_is_set_aside_for_an_earlier_order_goes_to_a_later_one_only_when_said() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let bag = json!({ "entry": entry, "pieces_n": 10, "place": "drawer 1" });
    assert_eq!(workshop.post("/api/bags", &bag).await.status, StatusCode::CREATED);
    let of = |customer: &str, due: &str, n: u32| json!({ "customer": customer, "due": due, "lines": [{ "entry": entry, "pieces_n": n }] });
    ordered(&workshop, &of("wardrobe", "2099-05-01", 8)).await;
    let later = ordered(&workshop, &of("choir", "2099-06-01", 5)).await;
    let over = format!("/api/orders/{}/hand-over", later["id"]);
    let refused = workshop.post(&over, &json!({ "revision": 1, "line": 0, "n": 4 })).await;
    let text = refused.fault("even_if_set_aside");
    assert!(text.starts_with("2 in bags are free") && text.contains("wardrobe"), "{text}");
    let free = workshop.post(&over, &json!({ "revision": 1, "line": 0, "n": 2 })).await;
    assert_eq!(free.status, StatusCode::OK, "{}", free.text());
    let all = json!({ "revision": 2, "line": 0, "n": 3, "even_if_set_aside": true });
    assert_eq!(workshop.post(&over, &all).await.status, StatusCode::OK);
    // The earlier one has what is left.
    let orders = workshop.get("/api/orders").await.json();
    assert_eq!(orders[0]["lines"][0]["in_bags_n"], 5, "{orders}");
}

#[tokio::test]
async fn an_order_says_what_wire_it_is_short_of() {
    let workshop = Workshop::empty();
    let entry = kept(&workshop).await;
    let of = |customer: &str, due: &str| json!({ "customer": customer, "due": due, "lines": [{ "entry": entry, "pieces_n": 10 }] });
    ordered(&workshop, &of("choir", "2099-06-01")).await;
    let short = workshop.get("/api/orders").await.json()[0]["short"].clone();
    let text = short[0].as_str().unwrap().to_owned();
    assert!(text.contains(" of "), "{short}");
    // What is due first takes the wire there is: the order before has all of it, the later one is short of as much as before.
    let needs = workshop.get("/api/buying-list").await.json();
    let (wire, wanted_mm) = (&needs[0]["wire"], needs[0]["wanted_mm"].as_f64().unwrap());
    let lot = json!({ "name": "Spool", "kind": "spool", "wire": wire });
    let added = workshop.post("/api/lots", &json!({ "lot": lot, "length_mm": wanted_mm })).await;
    assert_eq!(added.status, StatusCode::CREATED, "{}", added.text());
    assert_eq!(workshop.get("/api/orders").await.json()[0]["short"], json!([]));
    ordered(&workshop, &of("wardrobe", "2099-05-01")).await;
    let orders = workshop.get("/api/orders").await.json();
    assert_eq!((&orders[0]["for_whom"], &orders[0]["short"]), (&json!("wardrobe"), &json!([])));
    assert_eq!(orders[1]["short"], json!([text]));
}
