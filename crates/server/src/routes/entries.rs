//! What the routes of every shelf share: listing, adding, changing and putting away, each as a batch of its own.

use axum::Json;
use axum::http::StatusCode;
use serde::Deserialize;
use utoipa::{IntoParams, ToSchema};

use super::work::write;
use crate::kept::Kept;
use crate::problem::Problem;
use crate::state::State;
use crate::store::batch;
use crate::store::shelf::{Edit, Shelf, Wanted, Written};

/// What part of a list is wanted.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
pub(crate) struct ListQuery {
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

/// How many of a list are given where it is not said.
pub(super) fn hundred() -> u32 {
    100
}

impl ListQuery {
    pub(crate) fn wanted(self) -> Wanted {
        Wanted { find: self.find, archived: self.archived, skip: self.skip, most: self.most.clamp(1, 500) }
    }
}

/// The revision an edit was made from.
#[derive(Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct Revised {
    /// The revision that was read.
    pub(crate) revision: i64,
}

/// What to do with an entry that is put away or taken out again.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct Archive {
    /// The revision that was read.
    pub(crate) revision: i64,
    /// Away, or out again.
    pub(crate) archived: bool,
}

/// Adds a record to a shelf.
pub(crate) async fn add<T: Kept + Send + 'static>(
    state: &State,
    shelf: Shelf,
    record: T,
) -> Result<(StatusCode, Json<Written<T>>), Problem> {
    record.check()?;
    let written = write(state, move |transaction| {
        let undo = batch::next(transaction)?;
        let entry = shelf.add(transaction, undo, &record)?;
        Ok(Written { entry, undo })
    });
    Ok((StatusCode::CREATED, Json(written.await?)))
}

/// Puts another record in the place of one that is there.
pub(crate) async fn replace<T: Kept + Send + 'static>(
    state: &State,
    shelf: Shelf,
    id: i64,
    revision: i64,
    record: T,
) -> Result<Json<Written<T>>, Problem> {
    record.check()?;
    edit(state, shelf, id, revision, Edit::Replace(record)).await
}

/// Edits an entry of any shelf as a batch of its own.
pub(crate) async fn edit<T: Kept + Send + 'static>(
    state: &State,
    shelf: Shelf,
    id: i64,
    revision: i64,
    edit: Edit<T>,
) -> Result<Json<Written<T>>, Problem> {
    let written = write(state, move |transaction| {
        let undo = batch::next(transaction)?;
        let entry = shelf.edit(transaction, undo, id, revision, &edit)?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}

/// The four routes that every shelf of plain records has: list, add, change, put away.
macro_rules! shelf_routes {
    (
        $shelf:ident of $Record:ident;
        $(#[$list_doc:meta])* $list:ident at $all:tt;
        $(#[$add_doc:meta])* $add:ident;
        $(#[$change_doc:meta])* $change:ident at $one:tt;
        $(#[$archive_doc:meta])* $archive:ident at $away:tt;
    ) => {
        $(#[$list_doc])*
        #[utoipa::path(get, path = $all, params($crate::routes::entries::ListQuery),
            responses((status = 200, body = $crate::store::shelf::Page<$Record>)))]
        async fn $list(
            axum::extract::State(state): axum::extract::State<$crate::state::State>,
            $crate::extract::Query(query): $crate::extract::Query<$crate::routes::entries::ListQuery>,
        ) -> Result<axum::Json<$crate::store::shelf::Page<$Record>>, $crate::problem::Problem> {
            let page = $crate::routes::work::read(&state, |connection| {
                $crate::store::shelf::Shelf::$shelf.page(connection, &query.wanted())
            });
            page.await.map(axum::Json)
        }

        $(#[$add_doc])*
        #[utoipa::path(post, path = $all, request_body = $Record,
            responses((status = 201, body = $crate::store::shelf::Written<$Record>),
                (status = 422, body = $crate::problem::Problem)))]
        async fn $add(
            axum::extract::State(state): axum::extract::State<$crate::state::State>,
            $crate::extract::Body(record): $crate::extract::Body<$Record>,
        ) -> Result<
            (axum::http::StatusCode, axum::Json<$crate::store::shelf::Written<$Record>>),
            $crate::problem::Problem,
        > {
            $crate::routes::entries::add(&state, $crate::store::shelf::Shelf::$shelf, record).await
        }

        $(#[$change_doc])*
        #[utoipa::path(put, path = $one, params(("id" = i64, Path), $crate::routes::entries::Revised),
            request_body = $Record,
            responses((status = 200, body = $crate::store::shelf::Written<$Record>),
                (status = 409, body = $crate::problem::Problem), (status = 422, body = $crate::problem::Problem)))]
        async fn $change(
            axum::extract::State(state): axum::extract::State<$crate::state::State>,
            $crate::extract::Path(id): $crate::extract::Path<i64>,
            $crate::extract::Query(revised): $crate::extract::Query<$crate::routes::entries::Revised>,
            $crate::extract::Body(record): $crate::extract::Body<$Record>,
        ) -> Result<axum::Json<$crate::store::shelf::Written<$Record>>, $crate::problem::Problem> {
            let shelf = $crate::store::shelf::Shelf::$shelf;
            $crate::routes::entries::replace(&state, shelf, id, revised.revision, record).await
        }

        $(#[$archive_doc])*
        #[utoipa::path(post, path = $away, params(("id" = i64, Path)),
            request_body = $crate::routes::entries::Archive,
            responses((status = 200, body = $crate::store::shelf::Written<$Record>),
                (status = 409, body = $crate::problem::Problem)))]
        async fn $archive(
            axum::extract::State(state): axum::extract::State<$crate::state::State>,
            $crate::extract::Path(id): $crate::extract::Path<i64>,
            $crate::extract::Body(wish): $crate::extract::Body<$crate::routes::entries::Archive>,
        ) -> Result<axum::Json<$crate::store::shelf::Written<$Record>>, $crate::problem::Problem> {
            let (shelf, edit) =
                ($crate::store::shelf::Shelf::$shelf, $crate::store::shelf::Edit::Archive(wish.archived));
            $crate::routes::entries::edit(&state, shelf, id, wish.revision, edit).await
        }
    };
}
pub(crate) use shelf_routes;
