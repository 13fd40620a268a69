//! Cut plans: what is picked, which blank comes from which lot, booking what was cut, the plan on paper.

use std::collections::BTreeMap;
use std::time::{Duration, Instant};

use axum::Json;
use axum::extract::State as Shared;
use axum::http::StatusCode;
use axum::response::Response;
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::rack::cut_plan::picked::{self, WireDemand};
use lorimant_core::rack::cut_plan::{CutPlan, CutRequest, Progress, Stock};
use lorimant_core::rack::stock::booking::LotCut;
use lorimant_core::rack::stock::buying::StockLevel;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::Archive;
use super::{file, heavily, made, read, write};
use crate::export::cut_plan::{self, PlanSheet};
use crate::extract::{Body, Path};
use crate::kept::{Kept as _, Pick};
use crate::problem::Problem;
use crate::state::State;
use crate::store::batch;
use crate::store::shelf::{Edit, Entry, Shelf, Written};
use crate::store::{orders, picks, rack};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(solve_cut_plan))
        .routes(routes!(start_cut_plan))
        .routes(routes!(cut_plan_job))
        .routes(routes!(stop_cut_plan))
        .routes(routes!(list_picks, pick))
        .routes(routes!(change_pick))
        .routes(routes!(archive_pick))
        .routes(routes!(wanted))
        .routes(routes!(book_cuts))
        .routes(routes!(cut_plan_file))
}

/// How long something better than a first good plan is looked for, where the answer is waited for.
const SOLVING: Duration = Duration::from_millis(800);

/// Plans which blank is cut from which piece of stock: everything made, then least scrap, then offcuts
/// before spools, then few rests.
#[utoipa::path(post, path = "/api/cut-plans/solve", request_body = CutRequest,
    responses((status = 200, body = CutPlan), (status = 422, body = Problem)))]
async fn solve_cut_plan(
    Shared(state): Shared<State>,
    Body(request): Body<CutRequest>,
) -> Result<Json<CutPlan>, Problem> {
    let unit = state.store.workshop().habits.unit;
    let plan = heavily(&state, move |progress| {
        let start = Instant::now();
        request.solve(unit, &|_| start.elapsed() < SOLVING && progress.still_wanted())
    })
    .await?;
    Ok(Json(plan?))
}

/// Starts a long solve that shows how far it is and can be stopped.
#[utoipa::path(post, path = "/api/cut-plans/jobs", request_body = CutRequest,
    responses((status = 201, body = JobState), (status = 422, body = Problem)))]
async fn start_cut_plan(
    Shared(state): Shared<State>,
    Body(request): Body<CutRequest>,
) -> Result<(StatusCode, Json<JobState>), Problem> {
    request.check()?;
    let unit = state.store.workshop().habits.unit;
    let id = state.cutting.start(move |go_on| request.solve(unit, go_on));
    Ok((StatusCode::CREATED, job_state(&state, id)?))
}

/// How a job stands.
#[derive(Debug, Clone, Serialize, ToSchema)]
struct JobState {
    /// Its number.
    job: u64,
    /// Whether it is still looking.
    working: bool,
    /// How far it has come; none before a first plan is found.
    #[serde(skip_serializing_if = "Option::is_none")]
    progress: Option<Progress>,
    /// The plan, once it is done or was stopped.
    #[serde(skip_serializing_if = "Option::is_none")]
    plan: Option<CutPlan>,
}

fn job_state(state: &State, id: u64) -> Result<Json<JobState>, Problem> {
    let no_job = || {
        let message = text!("api-cutting-there-no-cutting-plan-number", id);
        Problem::missing(message)
    };
    let (progress, done) = state.cutting.state(id).ok_or_else(no_job)?;
    let plan = done.transpose()?;
    Ok(Json(JobState { job: id, working: plan.is_none(), progress, plan }))
}

/// How a solve stands, and its plan once it is done.
#[utoipa::path(get, path = "/api/cut-plans/jobs/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = JobState), (status = 404, body = Problem)))]
async fn cut_plan_job(Shared(state): Shared<State>, Path(id): Path<u64>) -> Result<Json<JobState>, Problem> {
    job_state(&state, id)
}

/// Stops a solve; its best plan so far follows shortly.
#[utoipa::path(post, path = "/api/cut-plans/jobs/{id}/stop", params(("id" = u64, Path)),
    responses((status = 200, body = JobState), (status = 404, body = Problem)))]
async fn stop_cut_plan(Shared(state): Shared<State>, Path(id): Path<u64>) -> Result<Json<JobState>, Problem> {
    state.cutting.stop(id);
    job_state(&state, id)
}

/// Something picked to be made.
#[derive(Serialize, ToSchema)]
struct PickedRow {
    /// The pick.
    #[serde(flatten)]
    pick: Entry<Pick>,
    /// What the plan or pattern is called.
    what: String,
    /// What it is, in a sentence.
    description: String,
    /// What its blanks are, or why there are none.
    blanks: String,
}

/// What is picked to be made, in the order it was picked.
#[utoipa::path(get, path = "/api/picks", responses((status = 200, body = Vec<PickedRow>)))]
async fn list_picks(Shared(state): Shared<State>) -> Result<Json<Vec<PickedRow>>, Problem> {
    let workshop = state.store.workshop();
    let unit = workshop.habits.unit;
    let picks = read(&state, picks::picks).await?;
    let row = |one: picks::PickedEntry| PickedRow {
        blanks: one
            .picked
            .piece
            .blanks(&workshop)
            .map_or_else(|faults| faults.to_string(), |blanks| blanks.shown(unit)),
        what: one.picked.what,
        description: one.description,
        pick: one.pick,
    };
    Ok(Json(picks.into_iter().map(row).collect()))
}

/// Picks a kept plan or pattern to be made; of what is picked already, so many more.
#[utoipa::path(post, path = "/api/picks", request_body = Pick,
    responses((status = 201, body = Written<Pick>), (status = 422, body = Problem)))]
async fn pick(
    Shared(state): Shared<State>,
    Body(new): Body<Pick>,
) -> Result<(StatusCode, Json<Written<Pick>>), Problem> {
    new.check()?;
    let written = write(&state, move |t| {
        let undo = batch::next(t)?;
        Ok(Written { entry: picks::pick(t, undo, new)?, undo })
    });
    Ok((StatusCode::CREATED, Json(written.await?)))
}

/// Changes how many are picked.
#[utoipa::path(put, path = "/api/picks/{id}", params(("id" = i64, Path), super::entries::Revised), request_body = Pick,
    responses((status = 200, body = Written<Pick>), (status = 409, body = Problem), (status = 422, body = Problem)))]
async fn change_pick(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    crate::extract::Query(super::entries::Revised { revision }): crate::extract::Query<
        super::entries::Revised,
    >,
    Body(pick): Body<Pick>,
) -> Result<Json<Written<Pick>>, Problem> {
    pick.check()?;
    super::entries::edit(&state, Shelf::Picks, id, revision, Edit::Replace(pick)).await
}

/// Takes a pick off the list, or puts it back.
#[utoipa::path(post, path = "/api/picks/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<Pick>), (status = 409, body = Problem)))]
async fn archive_pick(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<Pick>>, Problem> {
    super::entries::edit(&state, Shelf::Picks, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// What is wanted of one wire, and what there is of it on the rack.
#[derive(Serialize, ToSchema)]
struct Wanted {
    /// What is wanted.
    #[serde(flatten)]
    demand: WireDemand,
    /// The lots of that wire, as a cut plan takes them; their ids are the lots' numbers.
    stock: Vec<Stock>,
    /// The lots' names, by number.
    names: BTreeMap<String, String>,
    /// The picks that want it.
    picks: Vec<i64>,
    /// Blanks that are cut for batches and orders, by the names their demands have: they are counted and booked at the bench.
    at_the_bench: Vec<String>,
    /// Colour of the metal, `#rrggbb`.
    colour: &'static str,
}

/// What is to be cut, wire by wire, with the lots it can be cut from: for picks, for batches on their way, and for lines of
/// orders that are still to be begun.
#[utoipa::path(get, path = "/api/cut-plans/wanted",
    responses((status = 200, body = Vec<Wanted>), (status = 422, body = Problem)))]
async fn wanted(Shared(state): Shared<State>) -> Result<Json<Vec<Wanted>>, Problem> {
    let workshop = state.store.workshop();
    let known = workshop.clone();
    let (picks, bench, lots, keepings) = read(&state, move |c| {
        let bench = orders::demand(c, &known)?;
        Ok((picks::picks(c)?, bench, rack::in_stock(c)?, rack::keepings(c)?))
    })
    .await?;
    let mut picked: Vec<picked::Picked> = picks.iter().map(|one| one.picked.clone()).collect();
    picked.extend(bench);
    let keepings: Vec<StockLevel> = keepings.into_iter().map(|entry| entry.record).collect();
    let wires = picked::by_wire(&picked, &keepings, &workshop)?;
    let wanted = wires.into_iter().map(|demand| {
        let of_wire: Vec<_> =
            lots.iter().filter(|lot| lot.entry.record.covered_wire().stands_for(&demand.wire)).collect();
        let stock = of_wire.iter().map(|lot| Stock {
            id: lot.entry.id.to_string(),
            length_mm: lot.balance.left_mm,
            kind: lot.entry.record.kind,
        });
        let names = of_wire.iter().map(|lot| (lot.entry.id.to_string(), lot.entry.name.clone()));
        let ids = demand.picks.iter().filter_map(|at| Some(picks.get(*at)?.pick.id)).collect();
        let of_bench = demand.picks.iter().filter(|at| **at >= picks.len());
        let at_the_bench = of_bench.map(|at| picked[*at].what.clone()).collect();
        let colour = demand.wire.metal.figures().colour;
        Wanted { colour, stock: stock.collect(), names: names.collect(), picks: ids, at_the_bench, demand }
    });
    Ok(Json(wanted.collect()))
}

/// What was cut, and which picks are made with it.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Cuts {
    /// What was cut from each lot.
    lots: Vec<LotCut>,
    /// The picks the blanks are for, in the order of the demands: what is cut of each comes off the list.
    #[serde(default)]
    picks: Vec<i64>,
}

/// The number that undoes a booking.
#[derive(Serialize, ToSchema)]
struct BookedCuts {
    /// Number to post to `/api/undo/{batch}`.
    undo: i64,
    /// What was booked, in a sentence.
    text: String,
}

/// Books what was cut off the rack: everything in one step, or nothing.
#[utoipa::path(post, path = "/api/cut-plans/book", request_body = Cuts,
    responses((status = 201, body = BookedCuts), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn book_cuts(
    Shared(state): Shared<State>,
    Body(cuts): Body<Cuts>,
) -> Result<(StatusCode, Json<BookedCuts>), Problem> {
    if cuts.lots.is_empty() {
        return Err(Faults::from(Fault::new("lots", text!("api-cutting-nothing-selected-as-cut-so"))).into());
    }
    let known = state.store.workshop();
    let bench = read(&state, move |c| orders::demand(c, &known)).await?;
    // What is cut for the bench is booked there, where it is counted.
    let at_the_bench = |what: &str| bench.iter().any(|one| one.what == what);
    let lots = cuts.lots.into_iter().filter_map(|lot| lot.without(at_the_bench)).collect();
    let cuts = Cuts { lots, ..cuts };
    if cuts.lots.is_empty() {
        let message = text!("api-cutting-all-this-for-batches-orders");
        return Err(Faults::from(Fault::new("lots", message)).into());
    }
    let blanks: u64 = cuts.lots.iter().flat_map(|lot| &lot.cuts).map(|cut| u64::from(cut.n)).sum();
    let lots_n = cuts.lots.len();
    let workshop = state.store.workshop();
    let unit = workshop.habits.unit;
    let booked = write(&state, move |t| {
        let undo = batch::next(t)?;
        rack::book_cuts(t, undo, &cuts.lots, unit)?;
        let left = picks::take_off_picks(t, undo, &cuts.picks, &cuts.lots, &workshop)?;
        Ok((undo, left))
    });
    let (undo, left) = booked.await?;
    let lots =
        if lots_n == 1 { text!("api-cutting-one-lot").to_owned() } else { text!("api-cutting-lots", lots_n) };
    let blanks = text!("count-blank", n = blanks);
    let picked = match left {
        Some(0) => text!("api-cutting-list-now-empty").to_owned(),
        Some(left) => text!("api-cutting-on-list-still-be-cut", left),
        None => String::new(),
    };
    let text = text!("api-cutting-booked-from", blanks, lots, picked);
    Ok((StatusCode::CREATED, Json(BookedCuts { undo, text })))
}

/// A cut plan as a file: `cut-plan.pdf` or `cut-plan.csv`.
#[utoipa::path(post, path = "/api/cut-plans/files/{file}", params(("file" = String, Path)), request_body = PlanSheet,
    responses((status = 200, content_type = "application/octet-stream"), (status = 404, body = Problem),
        (status = 422, body = Problem)))]
async fn cut_plan_file(
    Shared(state): Shared<State>,
    Path(name): Path<String>,
    Body(sheet): Body<PlanSheet>,
) -> Result<Response, Problem> {
    sheet.check()?;
    let (settings, _) = read(&state, crate::store::settings).await?;
    match name.as_str() {
        "cut-plan.pdf" => {
            let bytes = made(&state, move |progress| cut_plan::pdf(&sheet, &settings, progress)).await?;
            Ok(file("application/pdf", &name, bytes))
        }
        "cut-plan.csv" => {
            let bytes = made(&state, move |_| cut_plan::csv(&sheet)).await?;
            Ok(file("text/csv; charset=utf-8", &name, bytes))
        }
        _ => Err(Problem::no_such_file(
            text!("api-cutting-cutting-plan"),
            &name,
            text!("api-cutting-cut-plan-pdf-cut-plan"),
        )),
    }
}
