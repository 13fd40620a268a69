//! All of a workshop out and in, in an open format: lines of JSON.

use std::io::{BufReader, BufWriter, Seek as _, Write as _};

use axum::Json;
use axum::body::Body;
use axum::extract::State as Shared;
use axum::response::Response;
use futures_util::TryStreamExt as _;
use serde::Serialize;
use tokio::io::AsyncWriteExt as _;
use tokio_util::io::{ReaderStream, StreamReader};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{aside, file, write};
use crate::heavy::StillWanted;
use crate::problem::Problem;
use crate::progress::Counted;
use crate::state::State;
use crate::store::StoreError;
use crate::store::whole::{self, Brought};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new().routes(routes!(take_out)).routes(routes!(bring_in))
}

/// All of the workshop as lines of JSON: settings, every record with its revisions and those put away, the ledger.
#[utoipa::path(get, path = "/api/workshop.jsonl", responses(
    (status = 200, body = String, content_type = "application/jsonl"), (status = 503, body = Problem)))]
async fn take_out(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let store = state.store.clone();
    let written = aside(move || -> Result<_, StoreError> {
        let mut lines = tempfile::tempfile().map_err(StoreError::Unopened)?;
        let mut out = BufWriter::new(&mut lines);
        store.read(|connection| {
            // One moment of the file, however long the writing takes.
            let moment = connection.unchecked_transaction()?;
            whole::write_out(&moment, &mut out)
        })?;
        out.flush().map_err(StoreError::Unopened)?;
        drop(out);
        lines.rewind().map_err(StoreError::Unopened)?;
        Ok(lines)
    });
    let lines = tokio::fs::File::from_std(written.await??);
    let name = format!("workshop-{}.jsonl", jiff::Timestamp::now().strftime("%Y-%m-%d"));
    Ok(file("application/jsonl", &name, Body::from_stream(ReaderStream::new(lines))))
}

/// What was brought in.
#[derive(Serialize, ToSchema)]
struct BroughtIn {
    /// How many records and lines of the ledger; none where all of it was here already.
    lines_n: u64,
    /// The same in a sentence.
    text: String,
}

/// Brings all of a workshop into one that is still empty, whatever its size; one that is here already is left alone.
#[utoipa::path(post, path = "/api/workshop", request_body(content = String, content_type = "application/jsonl"),
    responses((status = 200, body = BroughtIn), (status = 422, body = Problem), (status = 503, body = Problem)))]
async fn bring_in(Shared(state): Shared<State>, body: Body) -> Result<Json<BroughtIn>, Problem> {
    let broken = |_| Problem::unreadable(text!("api-whole-file-ended-too-early"));
    // All of it is here before the workshop is held up for it.
    let lines = tempfile::tempfile().map_err(StoreError::Unopened)?;
    let mut lines = tokio::fs::File::from_std(lines);
    let mut from = StreamReader::new(body.into_data_stream().map_err(std::io::Error::other));
    tokio::io::copy(&mut from, &mut lines).await.map_err(broken)?;
    lines.flush().await.map_err(StoreError::Unopened)?;
    let mut lines = lines.into_std().await;
    let (wanted, _waiting) = StillWanted::new();
    let progress = state.under_way.follow(wanted);
    let brought = write(&state, move |t| {
        lines.rewind().map_err(StoreError::Unopened)?;
        progress.takes(lines.metadata().map_err(StoreError::Unopened)?.len());
        whole::read_in(t, BufReader::new(Counted(lines, &progress)))
    });
    Ok(Json(match brought.await? {
        Brought::All(lines_n) => {
            BroughtIn { lines_n, text: text!("api-whole-whole-workshop-imported-as-was").to_owned() }
        }
        Brought::Here => {
            BroughtIn { lines_n: 0, text: text!("api-whole-all-this-here-already-nothing").to_owned() }
        }
    }))
}
