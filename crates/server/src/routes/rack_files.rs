//! The rack in and out: JSON for all of it, a table for the lots; looked at before anything is written.

use axum::Json;
use axum::extract::{DefaultBodyLimit, State as Shared};
use axum::response::Response;
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::words::length::{LengthUnit, shown};
use lorimant_core::words::quoted;
use lorimant_core::words::scale::of_wire;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{file, heavily, made, read, try_out, write};
use crate::document::rack::{LotWithLedger, RackDocument};
use crate::export::rack_read::{Record, read_table};
use crate::export::rack_tables as tables;
use crate::extract::{Path, Query, Text, understand};
use crate::problem::Problem;
use crate::progress::Progress;
use crate::state::State;
use crate::store::{batch, carried, history, rack};
use lorimant_text::text;

/// Largest rack taken, bytes: that of a studio with hundreds of thousands of lines.
const LARGEST_FILE: usize = 64 * 1024 * 1024;

/// Most wrong rows that are told one by one: nobody reads on after so many.
const MOST_WRONG: usize = 100;
/// Most rows without a fault that are told one by one.
const MOST_RIGHT: usize = 400;

pub(super) fn router() -> OpenApiRouter<State> {
    let files = OpenApiRouter::new().routes(routes!(import_rack)).layer(DefaultBodyLimit::max(LARGEST_FILE));
    OpenApiRouter::new().routes(routes!(rack_json)).routes(routes!(rack_table)).merge(files)
}

/// Everything on the rack as one JSON document, in the published schema.
#[utoipa::path(get, path = "/api/stock/all.json", responses((status = 200, body = RackDocument)))]
async fn rack_json(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let document = read(&state, carried::document).await?;
    let bytes = made(&state, move |_| Ok(serde_json::to_vec_pretty(&document)?)).await?;
    Ok(file("application/json", "lorimant-rack.json", bytes))
}

/// A part of the rack as a table: `lots.csv` (those with wire on them), `ledger.csv`, `buying.csv`, `scrap.csv`.
#[utoipa::path(get, path = "/api/stock/tables/{table}", params(("table" = String, Path)),
    responses((status = 200, body = String, content_type = "text/csv"), (status = 404, body = Problem)))]
async fn rack_table(Shared(state): Shared<State>, Path(table): Path<String>) -> Result<Response, Problem> {
    let bytes = match table.as_str() {
        "lots.csv" => {
            let lots = read(&state, rack::in_stock).await?;
            made(&state, move |_| {
                tables::lots_csv(lots.iter().map(|lot| (&lot.entry.record, lot.balance.left_mm)))
            })
            .await?
        }
        "ledger.csv" => {
            let lines = read(&state, rack::all_lines).await?;
            made(&state, move |_| tables::ledger_csv(&lines)).await?
        }
        "buying.csv" => {
            let document = read(&state, carried::document).await?;
            made(&state, move |_| tables::keepings_csv(&document.stock_levels)).await?
        }
        "scrap.csv" => {
            let document = read(&state, carried::document).await?;
            made(&state, move |_| tables::scrap_csv(&document.scrap)).await?
        }
        _ => {
            let known = text!("api-rack-files-tables");
            return Err(Problem::missing(text!(
                "api-rack-files-there-no-table-there",
                table = quoted(&table),
                known
            )));
        }
    };
    Ok(file("text/csv; charset=utf-8", &format!("lorimant-{table}"), bytes))
}

/// Whether a file is only looked at.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct HowImported {
    /// Only look: nothing is written.
    #[serde(default)]
    preview: bool,
}

/// A line or lot of a file that is brought in.
#[derive(Serialize, ToSchema)]
struct FileRow {
    /// Where it stands: `line 3`, or `lots[2]`.
    place: String,
    /// Its name.
    name: String,
    /// What it is, where it can be read.
    description: String,
    /// Everything wrong with it.
    faults: Vec<Fault>,
}

/// What a file holds, and whether it was brought in.
#[derive(Serialize, ToSchema)]
struct RackImport {
    /// Its lines, or its lots, one by one: the first of those that are wrong, and of the others.
    rows: Vec<FileRow>,
    /// How many there are.
    rows_n: usize,
    /// Other records: how wires are kept, scrap, picks.
    others_n: usize,
    /// How many lots are on the rack already, to the last line; they are left alone.
    already_n: usize,
    /// How many rows cannot be brought in; while there are any, none is.
    wrong_n: usize,
    /// Number to post to `/api/undo/{batch}`; none where nothing was written.
    #[serde(skip_serializing_if = "Option::is_none")]
    undo: Option<i64>,
}

fn says_lot(one: &LotWithLedger, unit: LengthUnit) -> String {
    let left: f64 = one.ledger.iter().map(|line| line.length_mm).sum();
    format!("{}, {}", one.lot.sentence(unit), of_wire(left, unit))
}

/// The document a file holds, with its rows.
fn understood(
    text: &str,
    unit: LengthUnit,
    progress: &Progress,
) -> Result<(RackDocument, Vec<FileRow>), Problem> {
    if text.trim_start().starts_with('{') {
        let document: RackDocument = understand(text.as_bytes())?;
        let mut rows: Vec<FileRow> = document
            .lots
            .iter()
            .enumerate()
            .map(|(i, one)| FileRow {
                place: format!("lots[{i}]"),
                name: one.lot.name.clone(),
                description: says_lot(one, unit),
                faults: vec![],
            })
            .collect();
        let Faults(found) = document.check().err().unwrap_or(Faults::none());
        for fault in found {
            match rows.iter().position(|row| fault.field.starts_with(&format!("{}.", row.place))) {
                Some(at) => rows[at].faults.push(fault),
                None => {
                    let place = fault.field.clone();
                    rows.push(FileRow {
                        place,
                        name: String::new(),
                        description: String::new(),
                        faults: vec![fault],
                    });
                }
            }
        }
        return Ok((document, rows));
    }
    let mut document = RackDocument::of(vec![], vec![], vec![], vec![]);
    let mut rows = vec![];
    let table = read_table(text)?;
    progress.takes(table.len() as u64);
    for row in table {
        progress.step()?;
        let place = text!("api-rack-files-line", line = row.line);
        let (mut description, mut faults) = (String::new(), vec![]);
        match row.read {
            Ok(Record::Lot(one)) => {
                description = says_lot(&one, unit);
                document.lots.push(one);
            }
            Ok(Record::Movement(one)) => {
                description = format!("{} {}", one.line.kind.shown(), of_wire(one.line.length_mm, unit));
                document.movements.push(one);
            }
            Ok(Record::StockLevel(one)) => {
                description = text!(
                    "api-rack-files-keep",
                    wire = one.wire.shown(unit),
                    keep_mm = of_wire(one.keep_mm, unit)
                );
                document.stock_levels.push(one);
            }
            Ok(Record::Scrap(one)) => {
                description = format!("{}, {} g", one.cleanliness, shown(one.mass_g, 3));
                document.scrap.push(one);
            }
            Err(Faults(found)) => faults = found,
        }
        rows.push(FileRow { place, name: row.name, description, faults });
    }
    if rows.is_empty() {
        return Err(Fault::new("file", text!("api-rack-files-table-empty-there-nothing-under")).into());
    }
    Ok((document, rows))
}

/// Brings a table in, or a whole rack from JSON: all of it, or nothing where anything is wrong.
#[utoipa::path(post, path = "/api/stock/import", params(HowImported), request_body(content = String, content_type = "text/plain"),
    responses((status = 200, body = RackImport), (status = 422, body = Problem)))]
async fn import_rack(
    Shared(state): Shared<State>,
    Query(HowImported { preview }): Query<HowImported>,
    Text(text): Text,
) -> Result<Json<RackImport>, Problem> {
    let unit = state.store.workshop().habits.unit;
    let (document, mut rows) = heavily(&state, move |progress| understood(&text, unit, progress)).await??;
    // Of a table every record is a row; of JSON the lots are.
    let records = document.lots.len()
        + document.stock_levels.len()
        + document.scrap.len()
        + document.picks.len()
        + document.movements.len();
    let others_n = records.saturating_sub(rows.len());
    let rows_n = rows.len();
    let wrong = |rows: &[FileRow]| rows.iter().filter(|row| !row.faults.is_empty()).count();
    if preview {
        // What only the rack can tell: a lot that is not there, wire that is not left.
        let tried = match wrong(&rows) {
            0 => try_out(&state, move |t| carried::bring_in(t, batch::next(t)?, &document)).await,
            _ => Ok(0),
        };
        let already_n = match tried {
            Ok(already_n) => already_n,
            Err(problem) => at_their_rows(problem, &mut rows).map(|()| 0)?,
        };
        let wrong_n = wrong(&rows);
        let rows = worth_showing(rows);
        return Ok(Json(RackImport { rows, rows_n, others_n, already_n, wrong_n, undo: None }));
    }
    let faults = rows.iter().flat_map(|row| row.faults.iter().map(|fault| fault.clone().within(&row.place)));
    let faults: Vec<Fault> = faults.take(MOST_WRONG).collect();
    if !faults.is_empty() {
        return Err(Faults(faults).into());
    }
    let brought = write(&state, move |t| {
        let undo = batch::next(t)?;
        let already_n = carried::bring_in(t, undo, &document)?;
        let wrote = !history::is_empty(t, undo)?;
        Ok((already_n, wrote.then_some(undo)))
    });
    let (already_n, undo) = brought.await.map_err(|problem| at_its_line(problem, &rows))?;
    let rows = worth_showing(rows);
    Ok(Json(RackImport { rows, rows_n, others_n, already_n, wrong_n: 0, undo }))
}

/// The first rows of a file, those that are wrong before all others, in their order.
fn worth_showing(rows: Vec<FileRow>) -> Vec<FileRow> {
    let (mut wrong, mut right) = (0, 0);
    rows.into_iter()
        .filter(|row| {
            let (n, most) =
                if row.faults.is_empty() { (&mut right, MOST_RIGHT) } else { (&mut wrong, MOST_WRONG) };
            *n += 1;
            *n <= most
        })
        .collect()
}

/// Puts what the store refused to the rows it is about; gives it back where it is about none.
fn at_their_rows(problem: Problem, rows: &mut Vec<FileRow>) -> Result<(), Problem> {
    if problem.errors.is_empty() {
        return Err(problem);
    }
    for fault in at_its_line(problem, rows).errors {
        let about = |row: &&mut FileRow| fault.field.starts_with(&format!("{}.", row.place));
        match rows.iter_mut().find(about) {
            Some(row) => row.faults.push(fault),
            None => rows.push(FileRow {
                place: fault.field.clone(),
                name: String::new(),
                description: String::new(),
                faults: vec![fault],
            }),
        }
    }
    Ok(())
}

/// What the store refused stands at the record's place in the document; of a table, that is a line.
fn at_its_line(mut problem: Problem, rows: &[FileRow]) -> Problem {
    for fault in &mut problem.errors {
        let index = fault.field.split(['[', ']']).nth(1).and_then(|number| number.parse::<usize>().ok());
        let row = index.and_then(|index| rows.get(index)).filter(|row| row.place.starts_with("line"));
        if let Some(row) = row {
            let column = fault.field.rsplit('.').next().unwrap_or_default();
            fault.field = format!("{}.{column}", row.place);
        }
    }
    problem
}
