//! Checks: what is measured, its readings, what comes of them, and the caliper they are taken with.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::StatusCode;
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::learn::cause::Misfit;
use lorimant_core::learn::check::PieceCheck;
use lorimant_core::learn::measured::{CaliperReading, ReadFrom};
use lorimant_core::learn::pairs::Matching;
use lorimant_core::learn::reading::{Steadied, read_line, read_typed, steadied};
use lorimant_core::learn::sheet::CheckSheet;
use lorimant_core::learn::simulated::{SEED, Simulated};
use lorimant_core::tool::workshop::Workshop;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::{Archive, ListQuery, Revised};
use super::{aside, heavily, read, write};
use crate::extract::{Body, Path, Query};
use crate::kept::{Kept as _, KeptPattern};
use crate::problem::Problem;
use crate::state::State;
use crate::store::shelf::{Edit, Entry, Page, Shelf, Written};
use crate::store::{StoreError, batch, checks};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_checks, begin_check))
        .routes(routes!(get_check, change_check))
        .routes(routes!(archive_check))
        .routes(routes!(keep_reading))
        .routes(routes!(set_reading_aside))
        .routes(routes!(find_causes))
        .routes(routes!(match_pieces))
        .routes(routes!(accept_trial))
        .routes(routes!(read_caliper))
}

/// Checks, last changed first.
#[utoipa::path(get, path = "/api/checks", params(ListQuery), responses((status = 200, body = Page<PieceCheck>)))]
async fn list_checks(
    Shared(state): Shared<State>,
    Query(query): Query<ListQuery>,
) -> Result<Json<Page<PieceCheck>>, Problem> {
    read(&state, move |c| Shelf::Checks.page(c, &query.wanted())).await.map(Json)
}

/// Begins a check. What has come off the lot's spool by then is noted with it.
#[utoipa::path(post, path = "/api/checks", request_body = PieceCheck,
    responses((status = 201, body = Written<PieceCheck>), (status = 422, body = Problem)))]
async fn begin_check(
    Shared(state): Shared<State>,
    Body(check): Body<PieceCheck>,
) -> Result<(StatusCode, Json<Written<PieceCheck>>), Problem> {
    let workshop = state.store.workshop();
    check.check(&workshop)?;
    let written = write(&state, move |t| {
        let off = checks::off_spool_mm(t, check.piece.wire())?;
        let check = PieceCheck { off_spool_mm: check.off_spool_mm.or(off), ..check };
        let undo = batch::next(t)?;
        let entry = Shelf::Checks.add(t, undo, &check)?;
        Ok(Written { entry, undo })
    });
    Ok((StatusCode::CREATED, Json(written.await?)))
}

/// A check with everything a view shows of it.
#[derive(Serialize, ToSchema)]
struct CheckView {
    /// The check.
    entry: Entry<PieceCheck>,
    /// Its readings, in the order they were taken.
    readings: Vec<CaliperReading>,
    /// What comes of them.
    sheet: CheckSheet,
}

async fn shown(state: &State, id: i64) -> Result<Json<CheckView>, Problem> {
    let workshop = state.store.workshop();
    let of = workshop.clone();
    let (checked, before) = read(state, move |c| {
        let checked = checks::checked(c, id)?;
        let before = checks::trials_before(c, &checked.entry, &of)?;
        Ok((checked, before))
    })
    .await?;
    let view = aside(move || {
        let checks::Checked { entry, readings } = checked;
        let sheet = entry.record.sheet(&readings, &before, &workshop)?;
        Ok::<_, Faults>(CheckView { entry, readings, sheet })
    });
    Ok(Json(view.await??))
}

/// One check, and what to measure next.
#[utoipa::path(get, path = "/api/checks/{id}", params(("id" = i64, Path)),
    responses((status = 200, body = CheckView), (status = 404, body = Problem)))]
async fn get_check(Shared(state): Shared<State>, Path(id): Path<i64>) -> Result<Json<CheckView>, Problem> {
    shown(&state, id).await
}

/// Changes what a check says of itself: its name, which dimensions, what was over of a trial. Its readings stay.
#[utoipa::path(put, path = "/api/checks/{id}", params(("id" = i64, Path), Revised), request_body = PieceCheck,
    responses((status = 200, body = Written<PieceCheck>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_check(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(revised): Query<Revised>,
    Body(check): Body<PieceCheck>,
) -> Result<Json<Written<PieceCheck>>, Problem> {
    check.check(&state.store.workshop())?;
    rewritten(&state, id, revised.revision, Edit::Replace(check)).await
}

/// Puts a check away, or takes it out again; what is put away teaches nothing.
#[utoipa::path(post, path = "/api/checks/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<PieceCheck>), (status = 409, body = Problem)))]
async fn archive_check(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<PieceCheck>>, Problem> {
    rewritten(&state, id, wish.revision, Edit::Archive(wish.archived)).await
}

async fn rewritten(
    state: &State,
    id: i64,
    revision: i64,
    edit: Edit<PieceCheck>,
) -> Result<Json<Written<PieceCheck>>, Problem> {
    let written = write(state, move |t| {
        let undo = batch::next(t)?;
        let checks::Checked { entry: before, readings } = checks::checked(t, id)?;
        if let Edit::Replace(new) = &edit {
            before.record.may_become(new, &readings).map_err(StoreError::Refused)?;
            checks::off_spool_mm(t, new.piece.wire())?;
        }
        let entry = Shelf::Checks.edit(t, undo, id, revision, &edit)?;
        // Of the lot it was, and of the lot it is now.
        checks::relearn_of(t, &before.record)?;
        checks::relearn_of(t, &entry.record)?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}

/// A reading to be kept.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct NewReading {
    /// Its own key, 8 to 64 characters; the same however often it is sent.
    press: String,
    /// Which piece, from 1.
    piece_n: u32,
    /// Which dimension, by key.
    key: String,
    /// What was read, mm, or the grade; or `typed`.
    #[serde(default)]
    value: Option<f64>,
    /// The same as typed, or keyed in by a wedge.
    #[serde(default)]
    typed: Option<String>,
    /// Where it came from; typed if left out.
    #[serde(default = "typed")]
    from: ReadFrom,
    /// That it is right although it is doubted.
    #[serde(default)]
    sure: bool,
}

fn typed() -> ReadFrom {
    ReadFrom::Typed
}

impl NewReading {
    fn read(self, workshop: &Workshop) -> Result<(String, CaliperReading), Faults> {
        if !(8..=64).contains(&self.press.chars().count()) {
            let message = text!("api-checks-reading-needs-key-8-64");
            return Err(Fault::new("press", message).into());
        }
        let value = match (self.value, &self.typed) {
            (Some(value), None) => value,
            (None, Some(text)) => read_typed(text, workshop.habits)?,
            _ => return Err(Fault::new("typed", text!("api-checks-enter-reading-value-or-what")).into()),
        };
        let reading = CaliperReading {
            reading_n: 0,
            piece_n: self.piece_n,
            key: self.key,
            value,
            from: self.from,
            at: String::new(),
            excluded: false,
        };
        Ok((self.press, reading))
    }
}

/// Keeps a reading; what is to be measured next comes with the answer. One that can hardly be is refused with a fault at
/// `doubt`, until it is sent as sure.
#[utoipa::path(post, path = "/api/checks/{id}/readings", params(("id" = i64, Path)), request_body = NewReading,
    responses((status = 200, body = CheckView), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn keep_reading(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(new): Body<NewReading>,
) -> Result<Json<CheckView>, Problem> {
    let workshop = state.store.workshop();
    let sure = new.sure;
    let (press, reading) = new.read(&workshop)?;
    write(&state, move |t| checks::keep(t, id, &press, &reading, sure, &workshop)).await?;
    shown(&state, id).await
}

/// A reading to be set aside.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct ReadingAside {
    /// Its number.
    reading_n: i64,
    /// Aside, or in again.
    excluded: bool,
}

/// Sets a reading aside, or takes it in again.
#[utoipa::path(post, path = "/api/checks/{id}/aside", params(("id" = i64, Path)), request_body = ReadingAside,
    responses((status = 200, body = CheckView), (status = 404, body = Problem)))]
async fn set_reading_aside(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(ReadingAside { reading_n, excluded }): Body<ReadingAside>,
) -> Result<Json<CheckView>, Problem> {
    write(&state, move |t| checks::set_aside(t, id, reading_n, excluded)).await?;
    shown(&state, id).await
}

/// Which piece a cause is looked for.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct OfPiece {
    /// The piece; the mean of all if left out.
    #[serde(default)]
    piece_n: Option<u32>,
}

/// The likely causes of a misfit, of one piece or of all on the mean.
#[utoipa::path(get, path = "/api/checks/{id}/causes", params(("id" = i64, Path), OfPiece),
    responses((status = 200, body = Misfit), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn find_causes(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Query(of): Query<OfPiece>,
) -> Result<Json<Misfit>, Problem> {
    let workshop = state.store.workshop();
    let (checked, rod) = read(&state, move |c| {
        let checked = checks::checked(c, id)?;
        let rod = checks::rod_of(c, &checked.entry.record)?;
        Ok((checked, rod))
    })
    .await?;
    let found = aside(move || checked.entry.record.causes(&checked.readings, of.piece_n, rod, &workshop));
    Ok(Json(found.await??))
}

/// How pieces are matched.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct MatchAsked {
    /// The dimensions that are compared, by key.
    keys: Vec<String>,
    /// How far a set may differ in each, mm; what the workshop lets pass if left out.
    #[serde(default)]
    tolerance_mm: Vec<f64>,
    /// How many go together; 2 if left out.
    #[serde(default = "two")]
    size: usize,
}

fn two() -> usize {
    2
}

/// Matches the measured pieces into pairs or sets.
#[utoipa::path(post, path = "/api/checks/{id}/pairs", params(("id" = i64, Path)), request_body = MatchAsked,
    responses((status = 200, body = Matching), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn match_pieces(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(asked): Body<MatchAsked>,
) -> Result<Json<Matching>, Problem> {
    let workshop = state.store.workshop();
    let checked = read(&state, move |c| checks::checked(c, id)).await?;
    let found = heavily(&state, move |progress| {
        let MatchAsked { keys, tolerance_mm, size } = asked;
        let go_on = &mut |share| progress.is_at(share);
        checked.entry.record.matched(&checked.readings, &keys, &tolerance_mm, size, &workshop, go_on)
    });
    Ok(Json(found.await??))
}

/// The kept pattern a trial is accepted into.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Accepted {
    /// Its number.
    pattern: i64,
    /// The revision that was read.
    revision: i64,
}

/// Accepts what a trial has shown as a new revision of its kept pattern; the one before stays.
#[utoipa::path(post, path = "/api/checks/{id}/accept", params(("id" = i64, Path)), request_body = Accepted,
    responses((status = 200, body = Written<KeptPattern>), (status = 404, body = Problem), (status = 409, body = Problem),
        (status = 422, body = Problem)))]
async fn accept_trial(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(accepted): Body<Accepted>,
) -> Result<Json<Written<KeptPattern>>, Problem> {
    let Json(view) = shown(&state, id).await?;
    let Some(next) = view.sheet.next_blank else {
        let message = text!("api-checks-this-measurement-not-trial-so");
        return Err(Fault::new("trial", message).into());
    };
    let written = write(&state, move |t| {
        let kept: Entry<KeptPattern> = Shelf::Patterns.get(t, accepted.pattern)?;
        let mut record = kept.record;
        record.request.allowance_mm = next.request.allowance_mm;
        record.check().map_err(StoreError::Refused)?;
        let undo = batch::next(t)?;
        let edit = Edit::Replace(record);
        let entry = Shelf::Patterns.edit(t, undo, accepted.pattern, accepted.revision, &edit)?;
        Ok(Written { entry, undo })
    });
    written.await.map(Json)
}

/// What the caliper is laid on.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct LaidOn {
    /// The check.
    check: i64,
    /// The piece.
    piece_n: u32,
    /// The dimension, by key.
    key: String,
}

/// What the caliper shows.
#[derive(Serialize, ToSchema)]
struct CaliperShows {
    /// The lines as they came.
    lines: Vec<String>,
    /// One figure out of them.
    #[serde(flatten)]
    steadied: Steadied,
    /// Whether it is the simulated caliper.
    simulated: bool,
}

/// Reads the caliper. The simulated one is first laid on the piece as the simulated workshop has made it.
#[utoipa::path(get, path = "/api/caliper", params(LaidOn),
    responses((status = 200, body = CaliperShows), (status = 404, body = Problem), (status = 422, body = Problem),
        (status = 503, body = Problem)))]
async fn read_caliper(
    Shared(state): Shared<State>,
    Query(laid): Query<LaidOn>,
) -> Result<Json<CaliperShows>, Problem> {
    let caliper = &state.instruments.caliper;
    let workshop = state.store.workshop();
    if let Some(jaws) = caliper.jaws() {
        let (key, of) = (laid.key.clone(), workshop.clone());
        let shows = read(&state, move |c| {
            let entry: Entry<PieceCheck> = Shelf::Checks.get(c, laid.check)?;
            let nth = checks::read_n(c, laid.check, laid.piece_n, &key)?;
            let simulated = Simulated { seed: SEED, hand: checks::hand(c)? };
            let own = simulated.own(laid.check, laid.piece_n);
            Ok(simulated.shows(&entry.record, own, &key, nth, &of))
        });
        let Some(mm) = shows.await? else {
            let message = text!("api-checks-simulated-caliper-has-nothing-measure");
            return Err(Fault::new("key", message).into());
        };
        jaws.lay(mm);
    }
    let lines = caliper.lines().await;
    let lines =
        lines.map_err(|error| Problem::no_device("caliper", &error, text!("api-checks-type-reading")))?;
    let readings = lines.iter().map(|line| read_line(line)).collect::<Result<Vec<f64>, _>>()?;
    let Some(steadied) = steadied(&readings, workshop.habits.unit) else {
        return Err(Fault::new("line", text!("api-checks-caliper-sent-no-reading-press")).into());
    };
    Ok(Json(CaliperShows { lines, steadied, simulated: caliper.jaws().is_some() }))
}
