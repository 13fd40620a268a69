//! All of the workshop in one file, taken while it is being used, and put back.

use axum::Json;
use axum::body::Body;
use axum::extract::State as Shared;
use axum::response::Response;
use futures_util::TryStreamExt as _;
use lorimant_core::words::quoted;
use serde::Serialize;
use tokio::io::AsyncWriteExt as _;
use tokio_util::io::{ReaderStream, StreamReader};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{aside, file};
use crate::extract::Path;
use crate::problem::Problem;
use crate::state::State;
use crate::store::StoreError;
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(backup))
        .routes(routes!(restore))
        .routes(routes!(file_state))
        .routes(routes!(copies))
        .routes(routes!(restore_copy))
        .routes(routes!(use_what_is_there))
}

/// A copy of the workshop's file as it stands at this moment, which a server can be started with.
#[utoipa::path(get, path = "/api/backup", responses(
    (status = 200, body = Vec<u8>, content_type = "application/vnd.sqlite3"), (status = 503, body = Problem)))]
async fn backup(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let store = state.store.clone();
    let copied = aside(move || -> Result<_, StoreError> {
        let folder = tempfile::tempdir().map_err(StoreError::Unopened)?;
        let copy = folder.path().join("backup.lorimant");
        store.back_up(&copy)?;
        let copy = std::fs::File::open(copy).map_err(StoreError::Unopened)?;
        // The folder goes at once; the file lasts until it has been sent.
        Ok(copy)
    });
    let copy = tokio::fs::File::from_std(copied.await??);
    let name = format!("workshop-{}.lorimant", jiff::Timestamp::now().strftime("%Y-%m-%d"));
    Ok(file("application/vnd.sqlite3", &name, Body::from_stream(ReaderStream::new(copy))))
}

/// What became of a restore.
#[derive(Serialize, ToSchema)]
struct Restored {
    /// What was done, and where what it replaced is kept.
    text: String,
    /// The dated copy of what was there before, by its name among the copies; none where the file was gone.
    #[serde(skip_serializing_if = "Option::is_none")]
    kept: Option<String>,
}

impl Restored {
    fn of(kept: Option<&std::path::Path>) -> Self {
        let kept = kept.and_then(|kept| Some(kept.file_name()?.to_string_lossy().into_owned()));
        let before = kept.as_ref().map(|kept| text!("api-backup-workshop-as-was-before-saved", kept));
        Self { text: text!("api-backup-copy-restored", before = before.unwrap_or_default()), kept }
    }
}

/// Puts a backup in the place of all that is kept here. It is checked first; what it replaces is kept as a dated copy.
#[utoipa::path(post, path = "/api/restore",
    request_body(content = Vec<u8>, content_type = "application/vnd.sqlite3"),
    responses((status = 200, body = Restored), (status = 400, body = Problem), (status = 422, body = Problem),
        (status = 503, body = Problem)))]
async fn restore(Shared(state): Shared<State>, body: Body) -> Result<Json<Restored>, Problem> {
    let broken = |_| Problem::unreadable(text!("api-backup-file-ended-too-early-nothing"));
    let folder = tempfile::tempdir().map_err(StoreError::Unopened)?;
    let path = folder.path().join("copy.lorimant");
    let mut copy = tokio::fs::File::create(&path).await.map_err(StoreError::Unopened)?;
    let mut from = StreamReader::new(body.into_data_stream().map_err(std::io::Error::other));
    tokio::io::copy(&mut from, &mut copy).await.map_err(broken)?;
    copy.flush().await.map_err(StoreError::Unopened)?;
    drop(copy);
    let store = state.store.clone();
    let kept = aside(move || {
        let kept = store.restore(&path);
        drop(folder);
        kept
    });
    Ok(Json(Restored::of(kept.await??.as_deref())))
}

/// A dated copy that was made without being asked.
#[derive(Serialize, ToSchema)]
struct CopyShown {
    /// Its name.
    name: String,
    /// When it was made.
    made_at: String,
    /// Why: `daily`, `before-update` or `before-restore`.
    why: &'static str,
    /// How large it is, bytes.
    bytes: u64,
}

/// What a person should know of the workshop's file.
#[derive(Serialize, ToSchema)]
struct FileState {
    /// Why nothing is saved for now; none where the file can be written.
    #[serde(skip_serializing_if = "Option::is_none")]
    only_read: Option<String>,
    /// Whether that is because others put another file, or other content, in its place, which can be used from now on.
    replaced: bool,
    /// Logs of another copy of the workshop that were found beside the file and put aside, by their names, the newest
    /// first. They may hold work that is missing here.
    logs_set_aside: Vec<String>,
}

/// How the workshop's file is.
#[utoipa::path(get, path = "/api/file", responses((status = 200, body = FileState)))]
async fn file_state(Shared(state): Shared<State>) -> Result<Json<FileState>, Problem> {
    let store = state.store.clone();
    let of = move || FileState {
        only_read: store.health().err().map(|error| {
            let why = match error {
                StoreError::ReadOnly(why) => why,
                error => Problem::from(error).detail,
            };
            text!("api-backup-nothing-saved-for-now", why)
        }),
        replaced: store.was_changed_by_others(),
        logs_set_aside: store.logs_set_aside(),
    };
    Ok(Json(aside(of).await?))
}

/// Goes on with what somebody else put in the place of the workshop's file while the program had it open.
#[utoipa::path(post, path = "/api/file/use", responses((status = 200, body = Restored), (status = 422, body = Problem),
    (status = 503, body = Problem)))]
async fn use_what_is_there(Shared(state): Shared<State>) -> Result<Json<Restored>, Problem> {
    let store = state.store.clone();
    let kept = aside(move || store.use_what_is_there()).await??;
    Ok(Json(Restored::of(kept.as_deref())))
}

/// The dated copies beside the workshop's file, the newest first.
#[utoipa::path(get, path = "/api/copies", responses((status = 200, body = [CopyShown])))]
async fn copies(Shared(state): Shared<State>) -> Result<Json<Vec<CopyShown>>, Problem> {
    let store = state.store.clone();
    let all = aside(move || store.copies()).await?;
    let shown = all.into_iter().filter_map(|copy| {
        Some(CopyShown {
            name: copy.path.file_name()?.to_string_lossy().into_owned(),
            made_at: jiff::Timestamp::try_from(copy.made_at).ok()?.to_string(),
            why: copy.why.word(),
            bytes: copy.bytes,
        })
    });
    Ok(Json(shown.collect()))
}

/// Puts a dated copy in the place of all that is kept here; what it replaces is kept as another.
#[utoipa::path(post, path = "/api/copies/{name}/restore", params(("name" = String, Path)),
    responses((status = 200, body = Restored), (status = 404, body = Problem), (status = 422, body = Problem),
        (status = 503, body = Problem)))]
async fn restore_copy(
    Shared(state): Shared<State>,
    Path(name): Path<String>,
) -> Result<Json<Restored>, Problem> {
    let store = state.store.clone();
    let kept = aside(move || {
        // Only what is listed: a name is no way out of the folder.
        let known =
            store.copies().into_iter().find(|copy| copy.path.file_name().is_some_and(|own| own == &*name));
        let copy = known.ok_or_else(|| {
            Problem::missing(text!("api-backup-there-no-copy-called", name = quoted(&name)))
        })?;
        store.restore(&copy.path).map_err(Problem::from)
    });
    Ok(Json(Restored::of(kept.await??.as_deref())))
}
