//! The rack in and out: tables and JSON, looked at first, nothing half brought in.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{Reply, Workshop};
use axum::http::StatusCode;
use lorimant_server::rack_schema;
use rstest::rstest;
use serde_json::{Value, json};

async fn import(workshop: &Workshop, text: &str, preview: bool) -> Reply {
    workshop.ask("POST", &format!("/api/stock/import?preview={preview}"), text.to_owned()).await
}

const TABLE: &str = "name,kind,metal,temper,section,size_mm,length_mm,mass_g,price,bought_on,tare_g,note\n\
    Blue spool,spool,copper,soft,round,1.0,20000,,9.40,2026-06-11,62,\"left drawer, top\"\n\
    By weight,,brass,,,1.6,,100,,,,\n";

#[tokio::test]
async fn a_table_is_looked_at_then_brought_in_whole_and_undone_in_one() {
    let workshop = Workshop::empty();
    let seen = import(&workshop, TABLE, true).await.json();
    assert_eq!((&seen["wrong_n"], seen["rows"].as_array().unwrap().len()), (&json!(0), 2));
    assert_eq!(seen["rows"][0]["description"], "soft copper, round 1 mm, 20 m");
    assert_eq!(workshop.get("/api/lots").await.json()["total"], 0);
    let brought = import(&workshop, TABLE, false).await.json();
    let lots = workshop.get("/api/lots").await.json();
    assert_eq!(lots["total"], 2);
    assert_eq!(lots["lots"][1]["record"]["note"], "left drawer, top");
    assert_eq!(lots["lots"][1]["balance"]["per_metre"], "0.47");
    workshop.post(&format!("/api/undo/{}", brought["undo"]), &json!({})).await;
    assert_eq!(workshop.get("/api/lots").await.json()["total"], 0);
}

#[rstest]
#[case::metal("Blue,coper,1,5", "metal", "Did you mean “copper”")]
#[case::no_metal("Blue,,1,5", "metal", "missing")]
#[case::no_size("Blue,copper,,5", "size_mm", "missing")]
#[case::size_no_number("Blue,copper,thick,5", "size_mm", "not a number")]
#[case::size_out("Blue,copper,99,5", "size_mm", "too large")]
#[case::no_name(",copper,1,5", "name", "1 to 60")]
#[case::no_amount("Blue,copper,1,", "length_mm", "how much")]
#[case::negative("Blue,copper,1,-5", "length_mm", "negative")]
#[case::open("Blue,copper,1,\"1,250\"", "length_mm", "could be 1.25 or 1250")]
#[case::price(
    "Blue,copper,1,5,1.240.50",
    "price",
    "is not an amount of money. Write it as 1240.50, without the currency"
)]
#[case::too_few_columns("Blue,copper", "size_mm", "missing")]
#[tokio::test]
async fn a_wrong_line_is_named_with_its_column_and_nothing_comes_in(
    #[case] line: &str,
    #[case] column: &str,
    #[case] says: &str,
) {
    let workshop = Workshop::empty();
    let text =
        format!("name,metal,size_mm,length_mm,price\nGood,brass,1.6,1000\n{line}\nAlso good,brass,1.6,10\n");
    let seen = import(&workshop, &text, true).await.json();
    assert_eq!(seen["wrong_n"], 1, "{seen}");
    let row = &seen["rows"][1];
    assert_eq!(row["place"], "line 3");
    let fault = row["faults"].as_array().unwrap().iter().find(|fault| fault["field"] == column);
    assert!(fault.unwrap()["message"].as_str().unwrap().contains(says), "{row}");
    let refused = import(&workshop, &text, false).await;
    assert_eq!(refused.status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(refused.fault(&format!("line 3.{column}")).contains(says));
    assert_eq!(workshop.get("/api/lots").await.json()["total"], 0);
}

#[rstest]
#[case("", "line 1", "headings of a table of lots")]
#[case("name,metal,thickness\na,b,c\n", "line 1", "name, metal, size_mm")]
#[case("name,metal,size_mm,thickness\na,b,c\n", "line 1", "“thickness” is not a heading")]
#[case("name,metal,size_mm,length_mm\n", "file", "nothing under its headings")]
#[case("{\"format\":\"other\"}", "format", "lorimant-rack")]
#[case("{\"format\":\"lorimant-rack\",\"version\":2}", "version", "version 1")]
#[case("{\"format\":\"lorimant-rack\",\"version\":1,\"spools\":[]}", "spools", "not a field here")]
#[tokio::test]
async fn a_file_that_is_no_rack_says_what_it_is_not(
    #[case] text: &str,
    #[case] field: &str,
    #[case] says: &str,
) {
    let refused = import(&Workshop::empty(), text, true).await;
    assert_eq!(refused.status, StatusCode::UNPROCESSABLE_ENTITY, "{}", refused.text());
    assert!(refused.fault(field).contains(says), "{}", refused.text());
}

#[tokio::test]
async fn semicolons_and_decimal_commas_are_read_too() {
    let text = "name;metal;size_mm;mass_g;price\nBlaue Rolle;copper;1,0;250,5;9,40\n";
    let workshop = Workshop::empty();
    let seen = import(&workshop, text, false).await.json();
    assert_eq!(seen["wrong_n"], 0, "{seen}");
    let record = &workshop.get("/api/lots").await.json()["lots"][0]["record"];
    assert_eq!((&record["wire"]["size_mm"], &record["price"]), (&json!(1.0), &json!("9.40")));
}

#[tokio::test]
async fn the_table_that_goes_out_comes_back_in_the_same() {
    let demo = Workshop::demo();
    let out = demo.get("/api/stock/tables/lots.csv").await.text();
    let other = Workshop::empty();
    let brought = import(&other, &out, false).await;
    assert_eq!(brought.status, StatusCode::OK, "{}", brought.text());
    let (here, there) = (demo.get("/api/lots").await.json(), other.get("/api/lots").await.json());
    assert_eq!(here["total"], there["total"]);
    for (a, b) in here["lots"].as_array().unwrap().iter().zip(there["lots"].as_array().unwrap()) {
        assert_eq!((&a["name"], &a["record"]["wire"]), (&b["name"], &b["record"]["wire"]));
        let (left_a, left_b) = (&a["balance"]["left_mm"], &b["balance"]["left_mm"]);
        assert!((left_a.as_f64().unwrap() - left_b.as_f64().unwrap()).abs() < 0.001);
    }
}

#[rstest]
#[case("=1+1", "'=1+1")]
#[case("＝1+1", "'＝1+1")]
#[case("@sum", "'@sum")]
#[case("a;=1+1", "a;'=1+1")]
#[case("a; ＋1", "a; '＋1")]
#[case("'=1+1", "''=1+1")]
#[case("reed\n=1+1", "reed\n'=1+1")]
#[case("5 - 3 = 2", "5 - 3 = 2")]
#[tokio::test]
async fn a_text_like_a_formula_is_kept_from_spreadsheets_and_comes_back_as_it_was(
    #[case] text: &str,
    #[case] written: &str,
) {
    let workshop = Workshop::empty();
    let lot = json!({ "name": "Blue", "note": text, "wire": { "metal": "copper", "size_mm": 1.0 } });
    workshop.post("/api/lots", &json!({ "lot": lot, "length_mm": 100 })).await;
    let out = workshop.get("/api/stock/tables/lots.csv").await.text();
    assert!(out.contains(written), "{out}");
    let other = Workshop::empty();
    import(&other, &out, false).await;
    assert_eq!(other.get("/api/lots").await.json()["lots"][0]["record"]["note"], text);
}

/// What could be read in two ways is asked about, and a line with a cell too many is not read past it.
#[rstest]
#[case("name;metal;size_mm;length_mm\nBlue;copper;1;1.000\n", "length_mm", "could be 1,000 or 1000")]
#[case("name;metal;size_mm;length_mm\nBlue;copper;1;12.500\n", "length_mm", "could be 12,500 or 12500")]
#[case(
    "name,metal,size_mm,length_mm\nBlue, left,copper,1,100\n",
    "columns",
    "has 5 cells, but the table has 4 columns"
)]
#[case("name;metal;size_mm;length_mm\nBlue;copper;1;100;spare\n", "columns", "has 5 cells")]
#[tokio::test]
async fn what_is_unclear_in_a_table_is_said_with_its_line(
    #[case] table: &str,
    #[case] column: &str,
    #[case] says: &str,
) {
    let workshop = Workshop::empty();
    let refused = import(&workshop, table, false).await;
    assert!(refused.fault(&format!("line 2.{column}")).contains(says), "{}", refused.text());
    let plain = table.replace("1.000", "1000,5").replace("12.500", "12.5").replace("Blue, left", "Blue");
    let brought = import(&workshop, &plain.replace(";spare", ""), false).await;
    assert_eq!(brought.status, StatusCode::OK, "{}", brought.text());
}

#[tokio::test]
async fn the_json_that_goes_out_fits_its_schema_and_comes_back_in_the_same() {
    let demo = Workshop::demo();
    let out = demo.get("/api/stock/all.json").await.json();
    let schema: Value = serde_json::from_str(&rack_schema()).unwrap();
    let validator = jsonschema::validator_for(&schema).unwrap();
    let misfits: Vec<String> = validator.iter_errors(&out).map(|misfit| misfit.to_string()).collect();
    assert!(misfits.is_empty(), "{misfits:?}");
    assert!(!validator.is_valid(&json!({ "format": "lorimant-rack", "version": 1, "lots": [{ "lot": 1 }] })));

    let other = Workshop::empty();
    other.post("/api/import", &demo.get("/api/saved/all.json").await.json()).await;
    let brought = import(&other, &out.to_string(), false).await;
    assert_eq!(brought.status, StatusCode::OK, "{}", brought.text());
    assert_eq!(other.get("/api/stock/all.json").await.json(), out);
}

#[tokio::test]
async fn only_lines_that_stand_go_out() {
    let workshop = Workshop::empty();
    import(&workshop, TABLE, false).await;
    let id = workshop.get("/api/lots").await.json()["lots"][1]["id"].clone();
    let path = format!("/api/lots/{id}/ledger");
    workshop.post(&path, &json!({ "kind": "tried", "length_mm": -70 })).await;
    let line = workshop.get(&path).await.json()[0]["id"].clone();
    let back = workshop.post(&format!("/api/ledger/{line}/reverse"), &json!({})).await.json();
    let kinds = async || {
        let out = workshop.get("/api/stock/all.json").await.json();
        let lines = out["lots"][0]["ledger"].as_array().unwrap();
        lines.iter().map(|line| line["kind"].as_str().unwrap().to_owned()).collect::<Vec<_>>()
    };
    assert_eq!(kinds().await, ["bought"]);
    workshop.post(&format!("/api/undo/{}", back["undo"]), &json!({})).await;
    assert_eq!(kinds().await, ["bought", "tried"]);
}

#[tokio::test]
async fn json_with_a_wrong_lot_or_an_unknown_pick_brings_nothing_in() {
    let workshop = Workshop::empty();
    let wire = json!({ "metal": "copper", "size_mm": 1 });
    let overdrawn = json!({ "format": "lorimant-rack", "version": 1, "lots": [
        { "lot": { "name": "a", "wire": wire }, "ledger": [{ "kind": "bought", "length_mm": 100 }] },
        { "lot": { "name": "b", "wire": wire }, "ledger": [{ "kind": "bought", "length_mm": 100 }, { "kind": "cut", "length_mm": -101 }] },
    ] });
    let refused = import(&workshop, &overdrawn.to_string(), false).await;
    assert!(refused.fault("lots[1].ledger[1].length_mm").contains("100 mm are left"), "{}", refused.text());
    let wrong_way = json!({ "format": "lorimant-rack", "version": 1, "lots": [
        { "lot": { "name": "a", "wire": wire }, "ledger": [{ "kind": "cut", "length_mm": 5 }] } ] });
    let seen = import(&workshop, &wrong_way.to_string(), true).await.json();
    assert_eq!(
        (&seen["wrong_n"], &seen["rows"][0]["faults"][0]["field"]),
        (&json!(1), &json!("lots[0].ledger[0].length_mm"))
    );
    for (length_mm, says) in [(5.0, "negative"), (-1e300, "too large")] {
        let line = json!({ "lot": "a", "line": { "kind": "cut", "length_mm": length_mm } });
        let wrong = json!({ "format": "lorimant-rack", "version": 1, "movements": [line] });
        let refused = import(&workshop, &wrong.to_string(), false).await;
        let fault = refused.json()["errors"][0].clone();
        assert!(fault["message"].as_str().unwrap().contains(says), "{fault}");
    }
    let unknown = json!({ "format": "lorimant-rack", "version": 1, "picks": [{ "name": "No such", "pieces_n": 3 }],
        "lots": [{ "lot": { "name": "a", "wire": wire }, "ledger": [] }] });
    let refused = import(&workshop, &unknown.to_string(), false).await;
    assert!(refused.fault("picks[0].name").contains("No such"));
    assert_eq!(workshop.get("/api/lots?used_up=true").await.json()["total"], 0);
}

#[tokio::test]
async fn the_buying_list_goes_out_in_whole_packs() {
    let text = Workshop::demo().get("/api/buying-list.csv").await.text();
    let mut table = csv::Reader::from_reader(text.as_bytes());
    let rows: Vec<csv::StringRecord> = table.records().map(Result::unwrap).collect();
    assert!(!rows.is_empty());
    for row in &rows {
        let number = |at: usize| row[at].parse::<f64>().unwrap();
        let (there, wanted, keep, missing) = (number(1), number(2), number(3), number(4));
        assert!((wanted + keep - there - missing).abs() < 0.11);
        if !row[5].is_empty() {
            let (packs, pack) = (number(5), number(6));
            assert!(packs * pack >= missing && (packs - 1.0) * pack < missing);
        }
    }
}

#[tokio::test]
async fn keepings_and_scrap_come_back_from_their_tables() {
    let demo = Workshop::demo();
    let other = Workshop::empty();
    for table in ["buying.csv", "scrap.csv"] {
        let out = demo.get(&format!("/api/stock/tables/{table}")).await.text();
        let brought = import(&other, &out, false).await;
        assert_eq!(brought.status, StatusCode::OK, "{table}: {}", brought.text());
    }
    let (here, there) =
        (demo.get("/api/stock/all.json").await.json(), other.get("/api/stock/all.json").await.json());
    assert_eq!((&here["stock_levels"], &here["scrap"]), (&there["stock_levels"], &there["scrap"]));
    let unknown = demo.get("/api/stock/tables/spools.csv").await;
    assert_eq!(unknown.status, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn lines_of_the_ledger_come_in_for_lots_by_name() {
    let workshop = Workshop::empty();
    import(&workshop, TABLE, false).await;
    let lines = "lot,change,length_mm,note\nBlue spool,cut,-615,hooks\nBlue spool,tried,-70,\n";
    let brought = import(&workshop, lines, false).await;
    assert_eq!(brought.status, StatusCode::OK, "{}", brought.text());
    let left =
        async || workshop.get("/api/lots?metal=copper").await.json()["lots"][0]["balance"]["left_mm"].clone();
    assert_eq!(left().await, 19_315.0);
    let out = workshop.get("/api/stock/tables/ledger.csv").await.text();
    assert!(out.contains("Blue spool,cut,-615.000,hooks,20"), "{out}");
    for (text, field, says) in [
        (
            "lot,change,length_mm\nBlue spool,cut,-15\nBlue spool,cut,-20000\n",
            "line 3.length_mm",
            "19300 mm are left",
        ),
        ("lot,change,length_mm\nRed spool,cut,-15\n", "line 2.lot", "no lot “Red spool”"),
        ("lot,change,length_mm\nBlue spool,cut,15\n", "line 2.length_mm", "negative"),
        ("lot,change,length_mm\nBlue spool,lost,15\n", "line 2.change", "scrapped"),
        ("lot,change,length_mm\n,cut,-15\n", "line 2.lot", "missing"),
    ] {
        let refused = import(&workshop, text, false).await;
        assert!(refused.fault(field).contains(says), "{}", refused.text());
    }
    assert_eq!(left().await, 19_315.0);
    workshop.post(&format!("/api/undo/{}", brought.json()["undo"]), &json!({})).await;
    assert_eq!(left().await, 20_000.0);
}

/// A line that was taken back after others had stood on it leaves the rest in another order only.
#[tokio::test]
async fn a_rack_whose_first_line_was_taken_back_comes_in_again() {
    let workshop = Workshop::empty();
    let lot =
        json!({ "lot": { "name": "Blue", "wire": { "metal": "copper", "size_mm": 1 } }, "length_mm": 100.0 });
    let lot = workshop.post("/api/lots", &lot).await.json()["lot"]["id"].clone();
    let path = format!("/api/lots/{lot}/ledger");
    workshop.post(&path, &json!({ "kind": "cut", "length_mm": -80.0 })).await;
    workshop.post(&path, &json!({ "kind": "bought", "length_mm": 100.0 })).await;
    let lines = workshop.get(&path).await.json();
    let first = lines.as_array().unwrap().last().unwrap()["id"].clone();
    let back = workshop.post(&format!("/api/ledger/{first}/reverse"), &json!({})).await;
    assert_eq!(back.status, StatusCode::OK, "{}", back.text());
    let rack = workshop.get("/api/stock/all.json").await.text();
    let other = Workshop::empty();
    let brought = import(&other, &rack, false).await;
    assert_eq!(brought.status, StatusCode::OK, "{}", brought.text());
    assert_eq!(other.get("/api/stock/all.json").await.text(), rack);
}

/// Two plans of one name, and one that was put away: each pick comes back as what it was.
#[tokio::test]
async fn a_pick_never_becomes_another_plan() {
    let workshop = Workshop::empty();
    let plan = |rings: u32, rod: f64| {
        json!({ "name": "Same", "request": { "wire": { "metal": "copper", "size_mm": 1 },
            "mandrel": { "diameter_mm": rod }, "rings_n": rings } })
    };
    let mut ids = vec![];
    for rod in [4.0, 5.0, 6.0] {
        let kept = workshop.post("/api/plans", &plan(20, rod)).await.json();
        ids.push(kept["entry"].clone());
    }
    workshop.post("/api/picks", &json!({ "entry": ids[1]["id"], "pieces_n": 7 })).await;
    let rack = workshop.get("/api/stock/all.json").await.text();
    // The picks are put away with a second workshop's help: there they are brought in beside the same plans.
    let pick = workshop.get("/api/picks").await.json()[0].clone();
    let away = json!({ "revision": pick["revision"], "archived": true });
    workshop.post(&format!("/api/picks/{}/archive", pick["id"]), &away).await;
    assert_eq!(import(&workshop, &rack, false).await.status, StatusCode::OK);
    assert_eq!(workshop.get("/api/picks").await.json()[0]["record"]["entry"], ids[1]["id"]);
    // Nothing in the file says which: it is asked, not guessed.
    let mut unclear: Value = serde_json::from_str(&rack).unwrap();
    unclear["picks"][0].as_object_mut().unwrap().remove("description");
    let refused = import(&workshop, &unclear.to_string(), false).await;
    assert!(
        refused.fault("picks[0].name").contains("Several saved pieces are called “Same”"),
        "{}",
        refused.text()
    );
    // All put away: those are what is meant.
    for entry in &ids {
        let away = json!({ "revision": entry["revision"], "archived": true });
        workshop.post(&format!("/api/plans/{}/archive", entry["id"]), &away).await;
    }
    let pick = workshop.get("/api/picks").await.json()[0].clone();
    let away = json!({ "revision": pick["revision"], "archived": true });
    workshop.post(&format!("/api/picks/{}/archive", pick["id"]), &away).await;
    assert_eq!(import(&workshop, &rack, false).await.status, StatusCode::OK);
    assert_eq!(workshop.get("/api/picks").await.json()[0]["record"]["entry"], ids[1]["id"]);
}

/// A rack of any studio's size comes in; a file with many faults tells the first hundred.
#[tokio::test]
async fn large_files_come_in_and_faults_stop_at_a_hundred() {
    let workshop = Workshop::empty();
    let head = "name,metal,size_mm,length_mm\n";
    let table: String = std::iter::once(head.to_owned())
        .chain((0..2000).map(|n| format!("lot {n},spoon,1,5000\n")))
        .collect();
    let looked = import(&workshop, &table, true).await.json();
    assert_eq!((looked["rows_n"].as_u64(), looked["wrong_n"].as_u64()), (Some(2000), Some(2000)));
    assert_eq!(looked["rows"].as_array().unwrap().len(), 100);
    let refused = import(&workshop, &table, false).await.json();
    assert_eq!(refused["errors"].as_array().unwrap().len(), 100);
    let lot = |n: u32| {
        json!({ "lot": { "name": format!("lot {n}"), "note": "reed ".repeat(80), "wire": { "metal": "copper", "size_mm": 1 } },
            "ledger": [{ "kind": "bought", "length_mm": 5000.0 }] })
    };
    let lots: Vec<Value> = (0..5000).map(lot).collect();
    let rack = json!({ "format": "lorimant-rack", "version": 1, "lots": lots }).to_string();
    assert!(rack.len() > 2 * 1024 * 1024);
    let brought = import(&workshop, &rack, false).await;
    assert_eq!(brought.status, StatusCode::OK, "{}", brought.text());
    assert_eq!(workshop.get("/api/lots").await.json()["total"], 5000);
}

/// Looking finds what bringing in would find.
#[rstest]
#[case::no_lot("lot,change,length_mm\nNobody's,cut,-5\n", "lot", "no lot")]
#[case::overdrawn("lot,change,length_mm\nBlue,cut,-5000\n", "length_mm", "are left")]
#[tokio::test]
async fn looking_and_bringing_in_agree(#[case] table: &str, #[case] column: &str, #[case] says: &str) {
    let workshop = Workshop::empty();
    let lot =
        json!({ "lot": { "name": "Blue", "wire": { "metal": "copper", "size_mm": 1 } }, "length_mm": 100.0 });
    workshop.post("/api/lots", &lot).await;
    let before = workshop.get("/api/history").await.text();
    let seen = import(&workshop, table, true).await.json();
    assert_eq!(seen["wrong_n"], 1, "{seen}");
    let fault = &seen["rows"][0]["faults"][0];
    assert!(fault["message"].as_str().unwrap().contains(says), "{fault}");
    let refused = import(&workshop, table, false).await;
    assert_eq!(refused.fault(&format!("line 2.{column}")), fault["message"].as_str().unwrap());
    assert_eq!(workshop.get("/api/history").await.text(), before);
}

/// What is there already is left alone and said to be; nothing is written that could be taken back.
#[tokio::test]
async fn what_is_on_the_rack_already_is_left_alone() {
    let demo = Workshop::demo();
    let rack = demo.get("/api/stock/all.json").await.text();
    let again = import(&demo, &rack, false).await.json();
    assert_eq!(again["already_n"], again["rows_n"]);
    assert!(again.get("undo").is_none(), "{again}");
    assert_eq!(demo.get("/api/stock/all.json").await.text(), rack);
    let kept = demo.get("/api/saved/all.json").await.text();
    let again = demo.ask("POST", "/api/import", kept.clone()).await.json();
    assert!(
        again["already_n"].as_u64().unwrap() > 3 && again["entries"].as_array().unwrap().is_empty(),
        "{again}"
    );
    assert_eq!(
        demo.get("/api/saved/all.json").await.json()["plans"],
        serde_json::from_str::<Value>(&kept).unwrap()["plans"]
    );
    // One lot more: only that one comes in.
    let mut more: Value = serde_json::from_str(&rack).unwrap();
    let mut lot = more["lots"][0].clone();
    lot["lot"]["name"] = json!("One more");
    more["lots"].as_array_mut().unwrap().push(lot);
    let of = |path: &'static str| demo.get(path);
    let (scrap, picks) = (of("/api/scrap").await.text(), of("/api/picks").await.text());
    let before = demo.get("/api/lots?used_up=false").await.json()["total"].as_i64().unwrap();
    assert!(import(&demo, &more.to_string(), false).await.json()["undo"].is_i64());
    assert_eq!(demo.get("/api/lots").await.json()["total"].as_i64().unwrap(), before + 1);
    // Nothing of the rest is there twice.
    assert_eq!((of("/api/scrap").await.text(), of("/api/picks").await.text()), (scrap, picks));
}
