//! The rack in and out: JSON for all of it, a table for the lots; looked at before anything is written.

use axum::Json;
use axum::extract::{Query, State as Shared};
use axum::response::Response;
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::length::shown;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{file, made, read, write};
use crate::State;
use crate::export::rack::{LotWithLedger, RackDocument, lots_csv, read_lots};
use crate::problem::{Problem, understand};
use crate::store::{rack, shelf};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(rack_json)).routes(routes!(lots_table)).routes(routes!(import_rack))
}

/// Everything on the rack as one JSON document, in the published schema.
#[utoipa::path(get, path = "/api/rack/all.json", responses((status = 200, body = RackDocument)))]
async fn rack_json(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let document = read(&state, rack::document).await?;
    let bytes = made(move || Ok(serde_json::to_vec_pretty(&document)?)).await?;
    Ok(file("application/json", "lorimant-rack.json", bytes))
}

/// The lots with wire on them as a table.
#[utoipa::path(get, path = "/api/rack/lots.csv", responses((status = 200, body = String, content_type = "text/csv")))]
async fn lots_table(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let lots = read(&state, rack::in_stock).await?;
    let bytes =
        made(move || lots_csv(lots.iter().map(|lot| (&lot.entry.record, lot.standing.left_mm)))).await?;
    Ok(file("text/csv; charset=utf-8", "lorimant-lots.csv", bytes))
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
    says: String,
    /// Everything wrong with it.
    faults: Vec<Fault>,
}

/// What a file holds, and whether it was brought in.
#[derive(Serialize, ToSchema)]
struct RackImport {
    /// Its lots, one by one.
    rows: Vec<FileRow>,
    /// Other records: how wires are kept, scrap, picks.
    others_n: usize,
    /// How many rows cannot be brought in; while there are any, none is.
    wrong_n: usize,
    /// Number to post to `/api/undo/{batch}`; none where nothing was written.
    #[serde(skip_serializing_if = "Option::is_none")]
    undo: Option<i64>,
}

fn says(one: &LotWithLedger) -> String {
    let left: f64 = one.ledger.iter().map(|line| line.length_mm).sum();
    format!("{}, {} m", one.lot.sentence(lorimant_core::length::LengthUnit::Mm), shown(left / 1000.0, 2))
}

/// The document a file holds, with its rows.
fn understood(text: &str) -> Result<(RackDocument, Vec<FileRow>), Problem> {
    if text.trim_start().starts_with('{') {
        let document: RackDocument = understand(text.as_bytes())?;
        let mut rows: Vec<FileRow> = document
            .lots
            .iter()
            .enumerate()
            .map(|(i, one)| FileRow {
                place: format!("lots[{i}]"),
                name: one.lot.name.clone(),
                says: says(one),
                faults: vec![],
            })
            .collect();
        let Faults(found) = document.check().err().unwrap_or(Faults(vec![]));
        for fault in found {
            match rows.iter().position(|row| fault.field.starts_with(&format!("{}.", row.place))) {
                Some(at) => rows[at].faults.push(fault),
                None => {
                    let place = fault.field.clone();
                    rows.push(FileRow {
                        place,
                        name: String::new(),
                        says: String::new(),
                        faults: vec![fault],
                    });
                }
            }
        }
        return Ok((document, rows));
    }
    let mut lots = vec![];
    let mut rows = vec![];
    for row in read_lots(text)? {
        let place = format!("line {}", row.line);
        match row.read {
            Ok(one) => {
                rows.push(FileRow { place, name: row.name, says: says(&one), faults: vec![] });
                lots.push(one);
            }
            Err(Faults(faults)) => rows.push(FileRow { place, name: row.name, says: String::new(), faults }),
        }
    }
    if rows.is_empty() {
        return Err(
            Fault::new("file", "The table holds no lots: there is nothing under its headings.").into()
        );
    }
    Ok((RackDocument::of(lots, vec![], vec![], vec![]), rows))
}

/// Brings lots in from a table, or a whole rack from JSON: all of it, or nothing where anything is wrong.
#[utoipa::path(post, path = "/api/rack/import", params(HowImported), request_body(content = String, content_type = "text/plain"),
    responses((status = 200, body = RackImport), (status = 422, body = Problem)))]
async fn import_rack(
    Shared(state): Shared<State>,
    Query(HowImported { preview }): Query<HowImported>,
    text: String,
) -> Result<Json<RackImport>, Problem> {
    let (document, rows) = understood(&text)?;
    let others_n = document.keepings.len() + document.scrap.len() + document.picks.len();
    let wrong_n = rows.iter().filter(|row| !row.faults.is_empty()).count();
    if preview {
        return Ok(Json(RackImport { rows, others_n, wrong_n, undo: None }));
    }
    let faults: Vec<Fault> =
        rows.iter().flat_map(|row| row.faults.iter().map(|fault| fault.clone().within(&row.place))).collect();
    if !faults.is_empty() {
        return Err(Faults(faults).into());
    }
    let undo = write(&state, move |t| {
        let undo = shelf::batch(t)?;
        rack::bring_in(t, undo, &document)?;
        Ok(undo)
    });
    Ok(Json(RackImport { rows, others_n, wrong_n, undo: Some(undo.await?) }))
}
