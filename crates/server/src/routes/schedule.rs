//! The schedule: what is done when, what goes into the barrel together, the day's sheet, the calendar.

use std::collections::VecDeque;
use std::sync::Arc;

use axum::Json;
use axum::extract::{Extension, State as Shared};
use axum::http::StatusCode;
use axum::response::Response;
use jiff::civil::Date;
use jiff::{Timestamp, ZonedDateTime};
use lorimant_core::bench::load::{Load, loads};
use lorimant_core::bench::pass::{Pass, passes};
use lorimant_core::bench::schedule::agenda::{
    Agenda, BatchRun, ScheduleChange, SessionStep, Wanted, laid::Laid,
};
use lorimant_core::bench::times::Pace;
use lorimant_core::fault::Faults;
use lorimant_core::order::Order;
use serde::{Deserialize, Serialize};
use tokio::sync::Mutex;
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::entries::{self, Archive};
use super::{aside, file, made, read};
use crate::export::calendar;
use crate::export::day_sheet::{self, Told};
use crate::extract::{Body, Path, Query};
use crate::heavy::StillWanted;
use crate::kept::Settings;
use crate::problem::Problem;
use crate::state::State;
use crate::store::orders;
use crate::store::shelf::{Edit, Entry, Shelf, Written};
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(plan_sessions))
        .routes(routes!(schedule_file))
        .routes(routes!(hold))
        .routes(routes!(archive_hold))
        .routes(routes!(together))
        // The plans that were worked out last belong to this server.
        .layer(Extension(LastPlans::default()))
}

/// How many days are planned.
const DAYS: u32 = 28;
/// Plans are looked for from here, so that the same is found of the same.
const SEED: u64 = 2_026;
/// So many plans are tried: wherever the schedule is read, it is the same.
const TRIES: u32 = 300;
/// How many are tried to find out what would help.
const HELP_TRIES: u32 = 12;

/// What is worked out beside the plan.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct Looking {
    /// Whether what would help is worked out where something comes too late.
    #[serde(default)]
    help: bool,
}

/// What is planned, and what it was planned by.
#[derive(Serialize, ToSchema)]
struct PlannedSchedule {
    /// Sessions with their steps.
    agenda: Agenda,
    /// What is held by hand.
    holds: Vec<Entry<ScheduleChange>>,
    /// The workshop's own pace, where it was learned.
    paces: Vec<Pace>,
    /// The clock on the workshop's wall: its time zone.
    zone: String,
}

/// What a plan is made of.
struct Given {
    wanted: Vec<Wanted>,
    holds: Vec<Entry<ScheduleChange>>,
    settings: Settings,
    paces: Vec<Pace>,
    laid: Laid,
}

/// Everything that is to be made, an order that is being typed among it.
async fn given(state: &State, typed: Option<Order>) -> Result<Given, Problem> {
    let workshop = state.store.workshop();
    read(state, move |c| {
        let (wanted, cannot) = orders::wanted(c, typed.as_ref(), &workshop)?;
        let (holds, times) = (orders::holds(c)?, orders::times(c, &workshop)?);
        let settings = crate::store::settings(c)?.0;
        let begins = begins(&settings);
        // What is held of something that is made by now, or of a session that is over, is held no more.
        let now = begins.timestamp();
        let holds: Vec<Entry<ScheduleChange>> =
            holds.into_iter().filter(|one| one.record.stands(&wanted, now)).collect();
        let held: Vec<ScheduleChange> = holds.iter().map(|entry| entry.record.clone()).collect();
        let laid = Laid::out(&wanted, (&settings.hours, &settings.gear, &times), &held, &begins, DAYS)
            .but_for(cannot);
        Ok(Given { wanted, holds, settings, paces: times.paces(), laid })
    })
    .await
}

/// What is to be made without an order that is being typed, and with it.
pub(super) async fn with_order(state: &State, typed: Order) -> Result<(Laid, Laid), Problem> {
    let (without, with) = (given(state, None).await?, given(state, Some(typed)).await?);
    Ok((without.laid, with.laid.before_the_undated(Entry::<Order>::UNKEPT)))
}

/// What a plan depends on beside what is in the file after so many writes: the minute, and whether what would help was
/// asked for.
type Asked = (u64, i64, bool);

/// The plans that were worked out last: the same is worked out once, however many ask for it.
type LastPlans = Arc<Mutex<VecDeque<(Asked, Arc<Plan>)>>>;

/// How many are remembered: the view, its print, and what would help.
const REMEMBERED: usize = 4;

/// A plan with what it was made of.
struct Plan {
    given: Given,
    agenda: Agenda,
}

/// The plan of what is to be made, as it stands now.
async fn plan(state: &State, last: &LastPlans, help: bool) -> Result<Arc<Plan>, Problem> {
    // Who asks for the same meanwhile waits for this one.
    let mut last = last.lock().await;
    let writes_n = state.store.writes_n();
    let minute = Timestamp::now().as_second().div_euclid(60);
    let asked = (writes_n, minute, help);
    if let Some((_, plan)) = last.iter().find(|(of, _)| *of == asked) {
        return Ok(plan.clone());
    }
    let given = given(state, None).await?;
    let laid = given.laid.clone();
    let (wanted, _waiting) = StillWanted::new();
    let agenda = aside(move || helped(&laid, help, &|| wanted.still())).await??;
    let plan = Arc::new(Plan { given, agenda });
    last.push_back((asked, plan.clone()));
    if last.len() > REMEMBERED {
        last.pop_front();
    }
    Ok(plan)
}

/// The present minute, by the clock on the wall.
fn begins(settings: &Settings) -> ZonedDateTime {
    let now = Timestamp::now();
    let minute = Timestamp::from_second(now.as_second() - now.as_second().rem_euclid(60)).unwrap_or(now);
    minute.to_zoned_datetime(settings.zone())
}

fn helped(laid: &Laid, help: bool, wanted: &dyn Fn() -> bool) -> Result<Agenda, Faults> {
    let planned = laid.sessions.plan(SEED, &|at| at.tried_n < TRIES && wanted())?;
    let late = !planned.late.is_empty() || !planned.unplaced.is_empty();
    let help = if help && late { laid.sessions.help(SEED, HELP_TRIES)? } else { vec![] };
    Ok(laid.agenda(&planned, &help))
}

/// The plan of what is to be made, without what would help.
pub(super) fn planned(laid: &Laid) -> Result<Agenda, Faults> {
    helped(laid, false, &|| true)
}

/// Everything that is on its way or ordered, laid into the hours at the bench of the next four weeks.
#[utoipa::path(get, path = "/api/schedule", params(Looking),
    responses((status = 200, body = PlannedSchedule), (status = 422, body = Problem)))]
async fn plan_sessions(
    Shared(state): Shared<State>,
    Extension(last): Extension<LastPlans>,
    Query(Looking { help }): Query<Looking>,
) -> Result<Json<PlannedSchedule>, Problem> {
    let plan = plan(&state, &last, help).await?;
    let Plan { given: Given { holds, settings, paces, .. }, agenda } = &*plan;
    let zone = settings.zone().iana_name().unwrap_or(text!("api-sessions-servers")).to_owned();
    let (holds, paces) = (holds.clone(), paces.clone());
    Ok(Json(PlannedSchedule { agenda: agenda.clone(), holds, paces, zone }))
}

/// Of which day.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct OfDay {
    /// The day, `2026-03-02`; the day of the next session if left out.
    #[serde(default)]
    #[param(value_type = Option<String>)]
    day: Option<Date>,
}

/// The sessions as a file: `schedule.ics` for a calendar, `day.pdf` for the bench.
#[utoipa::path(get, path = "/api/schedule/files/{file}", params(("file" = String, Path), OfDay),
    responses((status = 200, content_type = "application/octet-stream"), (status = 404, body = Problem)))]
async fn schedule_file(
    Shared(state): Shared<State>,
    Extension(last): Extension<LastPlans>,
    Path(name): Path<String>,
    Query(OfDay { day }): Query<OfDay>,
) -> Result<Response, Problem> {
    if !["schedule.ics", "day.pdf"].contains(&name.as_str()) {
        return Err(Problem::no_such_file(
            text!("api-sessions-schedule"),
            &name,
            text!("api-sessions-schedule-ics-day-pdf"),
        ));
    }
    let plan = plan(&state, &last, false).await?;
    let Plan { given: Given { settings, .. }, agenda, .. } = &*plan;
    if name == "schedule.ics" {
        let text = calendar::of(agenda, &settings.workshop_name);
        return Ok(file("text/calendar; charset=utf-8", &name, text));
    }
    let next = agenda.sessions.iter().find(|one| !one.runs.is_empty()).map(|one| one.day);
    let zone = settings.zone();
    let day = day.or(next).unwrap_or_else(|| agenda.begins.to_zoned_datetime(zone.clone()).date());
    let plan = plan.clone();
    let bytes = made(&state, move |progress| {
        let Plan { given: Given { wanted, settings, .. }, agenda, .. } = &*plan;
        let told = |run: &BatchRun, work: &SessionStep| {
            let of = wanted.iter().find(|one| one.of == run.of);
            let at = usize::try_from(work.step_n).ok().and_then(|n| n.checked_sub(1));
            let task = of.zip(at).and_then(|(of, at)| of.tasks.get(at));
            task.map_or(
                Told { reads: String::new(), instruction: String::new(), caution: String::new() },
                |task| {
                    let reads = format!("{} {}", task.number, task.number_of).trim().to_owned();
                    let caution = task.step.caution.unwrap_or_default();
                    Told { reads, instruction: task.step.text.clone(), caution: caution.to_owned() }
                },
            )
        };
        day_sheet::pdf(agenda, day, (&settings.workshop_name, &zone), told, progress)
    });
    Ok(file("application/pdf", &format!("bench-{day}.pdf"), bytes.await?))
}

/// Holds a step in its place, parts it, or leaves a session out.
#[utoipa::path(post, path = "/api/schedule/changes", request_body = ScheduleChange,
    responses((status = 201, body = Written<ScheduleChange>), (status = 422, body = Problem)))]
async fn hold(
    Shared(state): Shared<State>,
    Body(hold): Body<ScheduleChange>,
) -> Result<(StatusCode, Json<Written<ScheduleChange>>), Problem> {
    let workshop = state.store.workshop();
    let (wanted, _) = read(&state, move |c| orders::wanted(c, None, &workshop)).await?;
    hold.check(&wanted)?;
    entries::add(&state, Shelf::Holds, hold).await
}

/// Lets go of what is held, or holds it again.
#[utoipa::path(post, path = "/api/schedule/changes/{id}/archive", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Written<ScheduleChange>), (status = 404, body = Problem), (status = 409, body = Problem)))]
async fn archive_hold(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
    Body(wish): Body<Archive>,
) -> Result<Json<Written<ScheduleChange>>, Problem> {
    entries::edit(&state, Shelf::Holds, id, wish.revision, Edit::Archive(wish.archived)).await
}

/// A batch that is part of a load or a pass.
#[derive(Serialize, ToSchema)]
struct SharedPart {
    /// Its number.
    batch: i64,
    /// What it is called.
    name: String,
    /// How many of it.
    n: u32,
}

/// What is done together.
#[derive(Serialize, ToSchema)]
struct Together {
    /// What can be done now with one setting of a tool.
    passes: Vec<SharedPass>,
    /// What goes into the barrel together.
    loads: Vec<SharedLoad>,
}

/// A pass with the batches it goes over.
#[derive(Serialize, ToSchema)]
struct SharedPass {
    /// What is done: `roll a loop, on 3.02 mm`.
    named: String,
    /// To what.
    of: Vec<SharedPart>,
    /// Minutes of setting up that it saves.
    saves_min: f64,
}

/// A load of the barrel with the batches in it.
#[derive(Serialize, ToSchema)]
struct SharedLoad {
    /// The load.
    #[serde(flatten)]
    load: Load,
    /// What is in it.
    of: Vec<SharedPart>,
}

/// What can be done together now: passes across batches, and loads of the barrel.
#[utoipa::path(get, path = "/api/schedule/shared", responses((status = 200, body = Together), (status = 422, body = Problem)))]
async fn together(Shared(state): Shared<State>) -> Result<Json<Together>, Problem> {
    let workshop = state.store.workshop();
    let known = workshop.clone();
    let led = read(&state, move |c| orders::on_their_way(c, &known)).await?;
    let worked = aside(move || {
        let part =
            |at: usize, n: u32| SharedPart { batch: led[at].entry.id, name: led[at].entry.name.clone(), n };
        let shared = |pass: Pass| SharedPass {
            of: pass.steps.iter().map(|step| part(step.batch, step.ready_n)).collect(),
            named: pass.named,
            saves_min: pass.saves_min,
        };
        let passes: Vec<SharedPass> = passes(&orders::for_passes(&led)).into_iter().map(shared).collect();
        let waiting: Vec<(usize, _)> = led
            .iter()
            .enumerate()
            .filter_map(|(at, led)| Some((at, led.entry.record.for_the_barrel(&led.tasks, &led.progress)?)))
            .collect();
        let each: Vec<_> = waiting.iter().map(|(_, one)| *one).collect();
        let loads = loads(&each, &workshop.gear)?.into_iter().map(|load| {
            let of = load.batches.iter().map(|i| part(waiting[*i].0, waiting[*i].1.pieces_n)).collect();
            SharedLoad { of, load }
        });
        Ok::<_, Faults>(Together { passes, loads: loads.collect() })
    });
    Ok(Json(worked.await??))
}
