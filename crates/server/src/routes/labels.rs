//! Labels of bags: single, in sheets, and on the label printer.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::{HeaderMap, header};
use axum::response::Response;
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::order::Bag;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{file, made, read};
use crate::export::bag::{Printing, ToPrint};
use crate::extract::{Body, Path};
use crate::instrument::printer::Tray;
use crate::kept::Settings;
use crate::paper::LabelPaper;
use crate::problem::Problem;
use crate::session;
use crate::state::State;
use crate::store::shelf::{Entry, Shelf};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(bag_label))
        .routes(routes!(label_sheets))
        .routes(routes!(print_labels))
        .routes(routes!(printer_tray))
        .routes(routes!(printed_sheet))
}

/// Where this server was reached: what codes on labels lead to.
fn address(headers: &HeaderMap, id: i64) -> String {
    let host = headers.get(header::HOST).and_then(|host| host.to_str().ok()).unwrap_or("localhost");
    let scheme = if session::behind_tls(headers) { "https" } else { "http" };
    format!("{scheme}://{host}/bag/{id}")
}

/// The label of a bag: `label.svg` or `label.pdf`, as large as the workshop's labels are.
#[utoipa::path(get, path = "/api/bags/{id}/files/{file}", params(("id" = i64, Path), ("file" = String, Path)),
    responses((status = 200, content_type = "application/octet-stream"), (status = 404, body = Problem)))]
async fn bag_label(
    Shared(state): Shared<State>,
    Path((id, name)): Path<(i64, String)>,
    headers: HeaderMap,
) -> Result<Response, Problem> {
    let kind = match name.as_str() {
        "label.svg" => "image/svg+xml",
        "label.pdf" => "application/pdf",
        _ => {
            return Err(Problem::no_such_file(
                text!("api-routes-labels-label"),
                &name,
                text!("api-routes-labels-label-svg-label-pdf"),
            ));
        }
    };
    let bag: Entry<Bag> = read(&state, move |c| Shelf::Bags.get(c, id)).await?;
    let (settings, _) = read(&state, crate::store::settings).await?;
    let workshop = state.store.workshop();
    let one = ToPrint { id, bag: bag.record, address: address(&headers, id) };
    let printing = Printing { name: &settings.workshop_name, workshop: &workshop, paper: settings.labels };
    printing.check(std::slice::from_ref(&one)).map_err(Faults::from)?;
    let (settings, workshop) = (settings.clone(), workshop.clone());
    let bytes = made(&state, move |progress| {
        let printing =
            Printing { name: &settings.workshop_name, workshop: &workshop, paper: settings.labels };
        if kind == "image/svg+xml" {
            Ok(printing.svg(&one).into_bytes())
        } else {
            printing.single(&[one], progress)
        }
    });
    Ok(file(kind, &format!("bag-{id}-{name}"), bytes.await?))
}

/// Which labels.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct LabelWish {
    /// The bags, by their numbers, each as often as it is wanted; 1 to 500.
    bags: Vec<i64>,
    /// How many places of the first sheet are used up already; 0 if left out.
    #[serde(default)]
    used_n: u32,
    /// Other paper than the workshop's.
    #[serde(default)]
    paper: Option<LabelPaper>,
}

/// Most labels at once.
const MOST_LABELS: usize = 500;

async fn to_print(
    state: &State,
    labels: &LabelWish,
    headers: &HeaderMap,
) -> Result<(Vec<ToPrint>, LabelPaper, Settings), Problem> {
    if labels.bags.is_empty() || labels.bags.len() > MOST_LABELS {
        let message =
            text!("api-routes-labels-labels-cannot-be-printed-at", bags = labels.bags.len(), MOST_LABELS);
        return Err(Faults::from(Fault::new("bags", message)).into());
    }
    let (settings, _) = read(state, crate::store::settings).await?;
    let paper = labels.paper.unwrap_or(settings.labels);
    paper.check().map_err(|faults| faults.within("paper"))?;
    let ids = labels.bags.clone();
    let bags = read(state, move |c| {
        ids.into_iter().map(|id| Shelf::Bags.get::<Bag>(c, id)).collect::<Result<Vec<_>, _>>()
    });
    let all = bags.await?.into_iter().map(|entry| ToPrint {
        id: entry.id,
        address: address(headers, entry.id),
        bag: entry.record,
    });
    let all: Vec<ToPrint> = all.collect();
    let workshop = state.store.workshop();
    let printing = Printing { name: &settings.workshop_name, workshop: &workshop, paper };
    printing.check(&all).map_err(|fault| Faults::from(fault).within("paper"))?;
    Ok((all, paper, settings))
}

/// Labels in sheets: `labels.pdf`, or the first sheet as `labels.svg`.
#[utoipa::path(post, path = "/api/labels/{file}", params(("file" = String, Path)), request_body = LabelWish,
    responses((status = 200, content_type = "application/octet-stream"), (status = 404, body = Problem),
        (status = 422, body = Problem)))]
async fn label_sheets(
    Shared(state): Shared<State>,
    Path(name): Path<String>,
    headers: HeaderMap,
    Body(labels): Body<LabelWish>,
) -> Result<Response, Problem> {
    let kind = match name.as_str() {
        "labels.svg" => "image/svg+xml",
        "labels.pdf" => "application/pdf",
        _ => {
            return Err(Problem::no_such_file(
                text!("api-routes-labels-labels"),
                &name,
                text!("api-routes-labels-labels-pdf-labels-svg"),
            ));
        }
    };
    let (all, paper, settings) = to_print(&state, &labels, &headers).await?;
    let workshop = state.store.workshop();
    let used_n = labels.used_n;
    let bytes = made(&state, move |progress| {
        let printing = Printing { name: &settings.workshop_name, workshop: &workshop, paper };
        if kind == "application/pdf" {
            return printing.sheets_pdf(&all, used_n, progress);
        }
        Ok(printing.sheets(&all, used_n, progress)?.into_iter().next().unwrap_or_default().into_bytes())
    });
    Ok(file(kind, &name, bytes.await?))
}

/// What became of labels that were sent to the printer.
#[derive(Serialize, ToSchema)]
struct LabelsPrinted {
    /// How many.
    labels_n: usize,
    /// Whether the simulated printer took them.
    simulated: bool,
}

/// Prints labels, each at its own size: on the workshop's printer, or the simulated one.
#[utoipa::path(post, path = "/api/labels/print", request_body = LabelWish,
    responses((status = 200, body = LabelsPrinted), (status = 422, body = Problem), (status = 503, body = Problem)))]
async fn print_labels(
    Shared(state): Shared<State>,
    headers: HeaderMap,
    Body(labels): Body<LabelWish>,
) -> Result<Json<LabelsPrinted>, Problem> {
    let (all, paper, settings) = to_print(&state, &labels, &headers).await?;
    let labels_n = all.len();
    let workshop = state.store.workshop();
    let bytes = made(&state, move |progress| {
        let printing = Printing { name: &settings.workshop_name, workshop: &workshop, paper };
        printing.single(&all, progress)
    });
    let printer = &state.instruments.printer;
    printer.print(&bytes.await?).await.map_err(|error| {
        Problem::no_device("printer", &error, text!("api-routes-labels-save-labels-as-pdf"))
    })?;
    Ok(Json(LabelsPrinted { labels_n, simulated: printer.tray().is_some() }))
}

/// A sheet in the tray of the simulated printer.
#[derive(Serialize, ToSchema)]
struct PrintedSheet {
    /// Its number.
    n: u64,
    /// When it was printed, UTC.
    #[schema(value_type = String)]
    at: jiff::Timestamp,
    /// How large the document is, bytes.
    bytes_n: usize,
}

/// What lies in the tray of the simulated printer, the newest first; nothing where a real one prints.
#[utoipa::path(get, path = "/api/printer", responses((status = 200, body = Vec<PrintedSheet>)))]
async fn printer_tray(Shared(state): Shared<State>) -> Json<Vec<PrintedSheet>> {
    let sheets = state.instruments.printer.tray().map(Tray::all).unwrap_or_default();
    Json(
        sheets
            .into_iter()
            .map(|one| PrintedSheet { n: one.n, at: one.at, bytes_n: one.document.len() })
            .collect(),
    )
}

/// A sheet that the simulated printer was sent, as PDF.
#[utoipa::path(get, path = "/api/printer/{n}", params(("n" = u64, Path)),
    responses((status = 200, content_type = "application/pdf"), (status = 404, body = Problem)))]
async fn printed_sheet(Shared(state): Shared<State>, Path(n): Path<u64>) -> Result<Response, Problem> {
    let sheets = state.instruments.printer.tray().map(Tray::all).unwrap_or_default();
    let sheet = sheets.into_iter().find(|one| one.n == n);
    let sheet =
        sheet.ok_or_else(|| Problem::missing(text!("api-routes-labels-there-no-sheet-in-tray", n)))?;
    Ok(file("application/pdf", &format!("printed-{n}.pdf"), sheet.document.as_ref().clone()))
}
