//! Kept plans: finding, keeping, changing, putting away, bringing in and out.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::shelf_routes;
use super::{aside, read, write};
use crate::document::plans::PlanDocument;
use crate::export::table;
use crate::extract::{Path, Whole, understand};
use crate::kept::KeptPlan;
use crate::problem::Problem;
use crate::state::State;
use crate::store::batch;
use crate::store::shelf::{self, Entry, Imported, Revision, Shelf};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_plans, keep_plan))
        .routes(routes!(get_plan, change_plan))
        .routes(routes!(archive_plan))
        .routes(routes!(plan_revisions))
        .routes(routes!(all_plans_csv))
        .routes(routes!(import_document))
}

shelf_routes! {
    Plans of KeptPlan;
    /// Lists kept plans, last changed first.
    list_plans at "/api/plans";
    /// Keeps a plan.
    keep_plan;
    /// Changes a kept plan: its name, note or request.
    change_plan at "/api/plans/{id}";
    /// Puts a plan away, or takes it out again.
    archive_plan at "/api/plans/{id}/archive";
}

/// One kept plan.
#[utoipa::path(get, path = "/api/plans/{id}", params(("id" = i64, Path)),
    responses((status = 200, body = Entry<KeptPlan>), (status = 404, body = Problem)))]
async fn get_plan(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Entry<KeptPlan>>, Problem> {
    read(&state, move |connection| Shelf::Plans.get(connection, id)).await.map(Json)
}

/// A plan as it stood at each revision, newest first.
#[utoipa::path(get, path = "/api/plans/{id}/revisions", params(("id" = i64, Path)),
    responses((status = 200, body = [Revision<KeptPlan>]), (status = 404, body = Problem)))]
async fn plan_revisions(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<Vec<Revision<KeptPlan>>>, Problem> {
    read(&state, move |connection| Shelf::Plans.revisions(connection, id)).await.map(Json)
}

async fn all(state: &State) -> Result<Vec<KeptPlan>, Problem> {
    read(state, |connection| {
        Ok(Shelf::Plans.all(connection)?.into_iter().map(|entry: Entry<KeptPlan>| entry.record).collect())
    })
    .await
}

/// All kept plans as a table.
#[utoipa::path(get, path = "/api/plans/all.csv", responses((status = 200, body = String, content_type = "text/csv")))]
async fn all_plans_csv(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let text = table::write(&all(&state).await?)
        .map_err(|error| Problem::internal(text!("api-plans-table-could-not-be-written", error)))?;
    let name = "attachment; filename=\"lorimant-plans.csv\"";
    let headers = [(header::CONTENT_TYPE, "text/csv; charset=utf-8"), (header::CONTENT_DISPOSITION, name)];
    Ok((headers, text).into_response())
}

/// Brings plans, patterns and tools in from a JSON document: all of it, or nothing where anything is wrong.
#[utoipa::path(post, path = "/api/import", request_body = PlanDocument,
    responses((status = 201, body = Imported), (status = 422, body = Problem)))]
async fn import_document(
    Shared(state): Shared<State>,
    Whole(bytes): Whole,
) -> Result<(StatusCode, Json<Imported>), Problem> {
    let read = aside(move || {
        let document: PlanDocument = understand(&bytes)?;
        document.check()?;
        Ok::<_, Problem>(document)
    });
    let document = read.await??;
    let imported = write(&state, move |transaction| {
        let undo = batch::next(transaction)?;
        shelf::bring_in(transaction, undo, &document)
    });
    Ok((StatusCode::CREATED, Json(imported.await?)))
}
