//! Kept plans: finding, keeping, changing, putting away, undoing, bringing in and out.

use axum::Json;
use axum::extract::{Path, Query, State as Shared};
use axum::http::{StatusCode, header};
use axum::response::{IntoResponse, Response};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{read, write};
use crate::State;
use crate::export::document::PlanDocument;
use crate::export::table;
use crate::problem::{Body, Problem};
use crate::store::kept::{Kept, KeptPlan};
use crate::store::shelf::{self, Edit, Entry, Imported, Page, Shelf, Wanted, Written};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_plans, keep_plan))
        .routes(routes!(get_plan, change_plan))
        .routes(routes!(archive_plan))
        .routes(routes!(undo))
        .routes(routes!(all_plans_json))
        .routes(routes!(all_plans_csv))
        .routes(routes!(import_document))
}

/// What part of a list is wanted.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
pub(super) struct ListQuery {
    /// Words to find.
    #[serde(default)]
    find: String,
    /// Those put away instead of those in use.
    #[serde(default)]
    archived: bool,
    /// How many to pass over; 0 if left out.
    #[serde(default)]
    skip: u32,
    /// How many at most, up to 500; 100 if left out.
    #[serde(default = "hundred")]
    most: u32,
}

fn hundred() -> u32 {
    100
}

impl ListQuery {
    pub(super) fn wanted(self) -> Wanted {
        Wanted { find: self.find, archived: self.archived, skip: self.skip, most: self.most.clamp(1, 500) }
    }
}

/// The revision an edit was made from.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(super) struct Revised {
    /// The revision that was read.
    pub(super) revision: i64,
}

/// What to do with an entry that is put away or taken out again.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(super) struct Archive {
    /// The revision that was read.
    pub(super) revision: i64,
    /// Away, or out again.
    pub(super) archived: bool,
}

/// Lists kept plans, last changed first.
#[utoipa::path(get, path = "/api/plans", params(ListQuery), responses((status = 200, body = Page<KeptPlan>)))]
async fn list_plans(
    Shared(state): Shared<State>,
    Query(query): Query<ListQuery>,
) -> Result<Json<Page<KeptPlan>>, Problem> {
    read(&state, |connection| Shelf::Plans.page(connection, &query.wanted())).await.map(Json)
}

/// Keeps a plan.
#[utoipa::path(post, path = "/api/plans", request_body = KeptPlan,
    responses((status = 201, body = Written<KeptPlan>), (status = 422, body = Problem)))]
async fn keep_plan(
    Shared(state): Shared<State>,
    Body(plan): Body<KeptPlan>,
) -> Result<(StatusCode, Json<Written<KeptPlan>>), Problem> {
    plan.check()?;
    let written = write(&state, move |transaction| {
        let undo = shelf::batch(transaction)?;
        let entry = Shelf::Plans.add(transaction, undo, &plan)?;
        Ok(Written { entry, undo })
    });
    Ok((StatusCode::CREATED, Json(written.await?)))
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

/// Changes a kept plan: its name, note or request.
#[utoipa::path(put, path = "/api/plans/{id}", params(("id" = i64, Path), Revised), request_body = KeptPlan,
    responses((status = 200, body = Written<KeptPlan>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_plan(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(Revised { revision }): Query<Revised>,
    Body(plan): Body<KeptPlan>,
) -> Result<Json<Written<KeptPlan>>, Problem> {
    plan.check()?;
    edit(&state, Shelf::Plans, id, revision, Edit::Replace(plan)).await
}

/// Puts a plan away, or takes it out again.
#[utoipa::path(post, path = "/api/plans/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<KeptPlan>), (status = 409, body = Problem)))]
async fn archive_plan(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<KeptPlan>>, Problem> {
    edit(&state, Shelf::Plans, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// Edits an entry of any shelf as a batch of its own.
pub(super) async fn edit<T: Kept + Send + 'static>(
    state: &State,
    shelf: Shelf,
    id: i64,
    revision: i64,
    edit: Edit<T>,
) -> Result<Json<Written<T>>, Problem> {
    let written = write(state, move |transaction| {
        let undo = shelf::batch(transaction)?;
        let entry = shelf.edit(transaction, undo, id, revision, &edit)?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}

/// What undid something, and can be undone itself.
#[derive(Serialize, ToSchema)]
struct Undone {
    /// Number to post to `/api/undo/{batch}` to do it again.
    undo: i64,
}

/// Undoes a change, whatever it was.
#[utoipa::path(post, path = "/api/undo/{batch}", params(("batch" = i64, Path)),
    responses((status = 200, body = Undone), (status = 404, body = Problem), (status = 409, body = Problem)))]
async fn undo(Shared(state): Shared<State>, Path(batch): Path<i64>) -> Result<Json<Undone>, Problem> {
    let undo = write(&state, move |transaction| shelf::undo(transaction, batch)).await?;
    Ok(Json(Undone { undo }))
}

async fn all(state: &State) -> Result<Vec<KeptPlan>, Problem> {
    read(state, |connection| {
        Ok(Shelf::Plans.all(connection)?.into_iter().map(|entry: Entry<KeptPlan>| entry.record).collect())
    })
    .await
}

/// All kept plans as one JSON document, in the published schema.
#[utoipa::path(get, path = "/api/plans/all.json", responses((status = 200, body = PlanDocument)))]
async fn all_plans_json(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let document = PlanDocument::of(all(&state).await?, vec![]);
    let name = "attachment; filename=\"lorimant-plans.json\"";
    Ok(([(header::CONTENT_DISPOSITION, name)], Json(document)).into_response())
}

/// All kept plans as a table.
#[utoipa::path(get, path = "/api/plans/all.csv", responses((status = 200, body = String, content_type = "text/csv")))]
async fn all_plans_csv(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let text = table::write(&all(&state).await?)
        .map_err(|error| Problem::internal(format!("The table could not be written: {error}.")))?;
    let name = "attachment; filename=\"lorimant-plans.csv\"";
    let headers = [(header::CONTENT_TYPE, "text/csv; charset=utf-8"), (header::CONTENT_DISPOSITION, name)];
    Ok((headers, text).into_response())
}

/// Brings plans, patterns and tools in from a JSON document: all of it, or nothing where anything is wrong.
#[utoipa::path(post, path = "/api/import", request_body = PlanDocument,
    responses((status = 201, body = Imported), (status = 422, body = Problem)))]
async fn import_document(
    Shared(state): Shared<State>,
    Body(document): Body<PlanDocument>,
) -> Result<(StatusCode, Json<Imported>), Problem> {
    document.check()?;
    let imported = write(&state, move |transaction| {
        let undo = shelf::batch(transaction)?;
        shelf::bring_in(transaction, undo, &document)
    });
    Ok((StatusCode::CREATED, Json(imported.await?)))
}
