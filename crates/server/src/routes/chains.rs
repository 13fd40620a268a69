//! Planning chains: forwards, backwards, word by word; placing by placing; a weave of one's own; taking a chain away.

use std::cell::Cell;
use std::time::{Duration, Instant};

use axum::Json;
use axum::extract::State as Shared;
use axum::response::Response;
use lorimant_core::chain::backwards::{Backwards, Gives, RingsThere};
use lorimant_core::chain::ladder::Ladder;
use lorimant_core::chain::measured::{ChainFrom, OfRings, from_rings};
use lorimant_core::chain::placing::PlacingShown;
use lorimant_core::chain::relaxed::{RelaxRequest, Relaxed};
use lorimant_core::chain::search::RelaxProgress;
use lorimant_core::chain::sentence::ChainSlot;
use lorimant_core::chain::sheet::ChainSheet;
use lorimant_core::chain::weave::{Link, Weave};
use lorimant_core::chain::{ChainRequest, RingSize, taut, weaves};
use lorimant_core::fault::{Fault, Faults, Span};
use lorimant_core::words::sentence::{Change, Choice};
use serde::{Deserialize, Serialize};
use serde_json::Value;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{aside, heavily, worked};
use crate::decode;
use crate::export::chain::{self, Chain, ChainFormat};
use crate::extract::{Body, Path};
use crate::kept::KeptChain;
use crate::problem::Problem;
use crate::state::State;
use lorimant_text::{Text, text};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(list_known))
        .routes(routes!(plan_chain))
        .routes(routes!(relax))
        .routes(routes!(start_relaxing))
        .routes(routes!(relaxing))
        .routes(routes!(stop_relaxing))
        .routes(routes!(chain_sheet))
        .routes(routes!(change_chain_word))
        .routes(routes!(chain_word_choices))
        .routes(routes!(look_backwards))
        .routes(routes!(rings_there))
        .routes(routes!(placing))
        .routes(routes!(take_chain_away))
}

/// A weave of the trade.
#[derive(Serialize, ToSchema)]
struct KnownWeave {
    /// Its word.
    weave: &'static str,
    /// Its name.
    name: String,
    /// What it is like, in a sentence.
    like: &'static str,
    /// Rings in a cell.
    rings_per_cell: usize,
    /// The parts its rings play.
    parts: Vec<String>,
    /// The rings of a cell, each by its part.
    rings: Vec<String>,
    /// Which go through which.
    links: Vec<Link>,
    /// The smallest ratio of inside to wire at which rings go into each other: an upper bound.
    smallest_ratio: f64,
    /// What makers usually take, about.
    usual_ratio: [f64; 2],
    /// The whole weave, as an own one is entered.
    design: Weave,
}

/// The weaves of the trade, from the simplest on.
#[utoipa::path(get, path = "/api/weaves", responses((status = 200, body = [KnownWeave])))]
async fn list_known() -> Json<Vec<KnownWeave>> {
    let known = |known: &'static weaves::Known| KnownWeave {
        weave: known.word,
        name: known.weave.name.clone(),
        like: known.like,
        rings_per_cell: known.weave.rings_n(),
        parts: known.weave.parts().into_iter().map(str::to_owned).collect(),
        rings: known.weave.rings.clone(),
        links: known.weave.links.clone(),
        smallest_ratio: Ladder::of_known(known.word).map_or(0.0, |ladder| ladder.smallest_ratio()),
        usual_ratio: known.usual,
        design: known.weave.clone(),
    };
    Json(weaves::all().iter().map(known).collect())
}

/// Reads the rings of a chain: a ring plan, as for `/api/rings/plan`, or rings as they are measured. Which of the two is meant
/// says its first field, so that what is wrong is said of that one.
fn rings(sent: &Value) -> Result<OfRings, Fault> {
    let measured = sent.get("inside_mm").is_some() || sent.get("wire_mm").is_some();
    let read = if measured {
        decode::json(sent).map(OfRings::Measured)
    } else {
        decode::json(sent).map(OfRings::Plan)
    };
    read.map_err(|fault| fault.within("ring"))
}

/// A chain that is asked about.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct ChainAsked {
    /// The weave's word, as `GET /api/weaves` lists them; for an own one its name.
    weave: String,
    /// The weave itself, where it is a maker's own.
    #[serde(default)]
    own_weave: Option<Weave>,
    /// Its rings.
    #[schema(value_type = OfRings)]
    ring: Value,
    /// How long it is, mm.
    length_mm: f64,
    /// Of a sheet: how many cells it is across; 4 if left out.
    #[serde(default = "four")]
    across_n: u32,
}

fn four() -> u32 {
    4
}

/// Plans a chain of so much from rings of a size. Where the rings do not go into each other, `fits` is false and says why.
#[utoipa::path(post, path = "/api/chains/plan", request_body = ChainAsked,
    responses((status = 200, body = ChainFrom), (status = 422, body = Problem)))]
async fn plan_chain(Body(asked): Body<ChainAsked>) -> Result<Json<ChainFrom>, Problem> {
    let rings = rings(&asked.ring)?;
    let plan =
        move || from_rings(&asked.weave, asked.own_weave.as_ref(), &rings, asked.length_mm, asked.across_n);
    Ok(Json(aside(plan).await??))
}

/// Relaxes a weave: the smallest ratio at which its rings go into each other, and its longest repeat at a ratio. Says which
/// pair is in the way where it cannot be.
#[utoipa::path(post, path = "/api/chains/relax", request_body = RelaxRequest,
    responses((status = 200, body = Relaxed), (status = 422, body = Problem)))]
async fn relax(
    Shared(state): Shared<State>,
    Body(asked): Body<RelaxRequest>,
) -> Result<Json<Relaxed>, Problem> {
    let relaxed = heavily(&state, move |progress| {
        let (begun, start) = (Instant::now(), Cell::new(None));
        asked.relaxed(&|far| {
            // A start that was begun in time may be ended.
            let next = start.replace(Some(far.tried_n)) != Some(far.tried_n);
            begun.elapsed() < if next { WAITED } else { LONGEST } && progress.still_wanted()
        })
    });
    Ok(Json(relaxed.await??))
}

/// How long starts are tried while the answer is waited for.
const WAITED: Duration = Duration::from_millis(900);

/// How long the last of them may take until then.
const LONGEST: Duration = Duration::from_millis(1800);

/// How far relaxing a weave has come.
#[derive(Serialize, ToSchema)]
struct RelaxState {
    /// Its number.
    job: u64,
    /// Whether it is still looking.
    working: bool,
    /// How far it has come.
    #[serde(skip_serializing_if = "Option::is_none")]
    progress: Option<RelaxProgress>,
    /// What was found, once it is done or was stopped.
    #[serde(skip_serializing_if = "Option::is_none")]
    relaxed: Option<Relaxed>,
    /// What is wrong with it, where nothing was found.
    faults: Vec<Fault>,
}

fn relax_state(state: &State, job: u64, stop: bool) -> Result<Json<RelaxState>, Problem> {
    let jobs = &state.relaxing;
    let found = if stop { jobs.stop(job) } else { jobs.state(job) };
    let (progress, done) =
        found.ok_or_else(|| Problem::missing(text!("api-chains-this-search-no-longer-running")))?;
    let working = done.is_none();
    let (relaxed, faults) = match done {
        Some(Ok(relaxed)) => (Some(relaxed), vec![]),
        Some(Err(faults)) => (None, faults.0),
        None => (None, vec![]),
    };
    Ok(Json(RelaxState { job, working, progress, relaxed, faults }))
}

/// Starts relaxing a weave; how far it is can be asked, and it can be stopped with the best it has.
#[utoipa::path(post, path = "/api/chains/relaxing", request_body = RelaxRequest,
    responses((status = 200, body = RelaxState), (status = 422, body = Problem)))]
async fn start_relaxing(
    Shared(state): Shared<State>,
    Body(asked): Body<RelaxRequest>,
) -> Result<Json<RelaxState>, Problem> {
    asked.weave.check().map_err(|faults| faults.within("weave"))?;
    let job = state.relaxing.start(move |go_on| {
        let found = asked.relaxed(go_on)?;
        // What planning with it will ask for is worked out by then.
        let size = RingSize { inside_mm: found.ratio, wire_mm: 1.0 };
        let _ = taut::worked_out(&asked.weave, &[size], go_on);
        Ok(found)
    });
    relax_state(&state, job, false)
}

/// How far relaxing has come.
#[utoipa::path(get, path = "/api/chains/relaxing/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = RelaxState), (status = 404, body = Problem)))]
async fn relaxing(Shared(state): Shared<State>, Path(job): Path<u64>) -> Result<Json<RelaxState>, Problem> {
    relax_state(&state, job, false)
}

/// Stops relaxing with the best there is.
#[utoipa::path(post, path = "/api/chains/relaxing/{id}/stop", params(("id" = u64, Path)),
    responses((status = 200, body = RelaxState), (status = 404, body = Problem)))]
async fn stop_relaxing(
    Shared(state): Shared<State>,
    Path(job): Path<u64>,
) -> Result<Json<RelaxState>, Problem> {
    relax_state(&state, job, true)
}

/// Everything a planning view shows of a chain; faults come inside, so that the sentence can still be shown.
#[utoipa::path(post, path = "/api/chains/sheet", request_body = ChainRequest,
    responses((status = 200, body = ChainSheet), (status = 422, body = Problem)))]
async fn chain_sheet(
    Shared(state): Shared<State>,
    Body(request): Body<ChainRequest>,
) -> Result<Json<ChainSheet>, Problem> {
    worked(&state, move |workshop| Ok(request.sheet(workshop))).await
}

/// A word of a chain's sentence to change.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct ChainWordChange {
    /// The chain.
    request: ChainRequest,
    /// The word.
    slot: ChainSlot,
    /// What to do to it.
    change: Change,
}

/// Changes one word of the sentence and gives the sheet that comes of it.
#[utoipa::path(post, path = "/api/chains/change", request_body = ChainWordChange,
    responses((status = 200, body = ChainSheet), (status = 422, body = Problem)))]
async fn change_chain_word(
    Shared(state): Shared<State>,
    Body(word): Body<ChainWordChange>,
) -> Result<Json<ChainSheet>, Problem> {
    worked(&state, move |workshop| {
        Ok(word.request.changed(word.slot, &word.change, workshop)?.sheet(workshop))
    })
    .await
}

/// A word of a chain's sentence to choose for.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct ChainWordChoice {
    /// The chain.
    request: ChainRequest,
    /// The word.
    slot: ChainSlot,
}

/// What a word could be instead, each with what it would change.
#[utoipa::path(post, path = "/api/chains/choices", request_body = ChainWordChoice,
    responses((status = 200, body = [Choice<ChainRequest>]), (status = 422, body = Problem)))]
async fn chain_word_choices(
    Shared(state): Shared<State>,
    Body(word): Body<ChainWordChoice>,
) -> Result<Json<Vec<Choice<ChainRequest>>>, Problem> {
    worked(&state, move |workshop| Ok(word.request.choices(word.slot, workshop))).await
}

/// A chain to look at the other way round.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct BackwardsAsked {
    /// The chain.
    request: ChainRequest,
    /// How far across it is to be, mm, where a look is wanted rather than a wire.
    #[serde(default)]
    across_mm: Option<f64>,
}

/// The ring a weave is at its best with, which rods give it, and wires for a chain so far across.
#[utoipa::path(post, path = "/api/chains/backwards", request_body = BackwardsAsked,
    responses((status = 200, body = Backwards), (status = 422, body = Problem)))]
async fn look_backwards(
    Shared(state): Shared<State>,
    Body(asked): Body<BackwardsAsked>,
) -> Result<Json<Backwards>, Problem> {
    if let Some(across) = asked.across_mm {
        let span = Span { noun: Text::named("api-chains-way-across"), unit: " mm", least: 0.5, most: 200.0 };
        span.check("across_mm", across).map_err(Faults::from)?;
    }
    worked(&state, move |workshop| asked.request.backwards(asked.across_mm, workshop)).await
}

/// How long rings there are make in which weaves.
#[utoipa::path(post, path = "/api/chains/from-rings", request_body = RingsThere,
    responses((status = 200, body = [Gives]), (status = 422, body = Problem)))]
async fn rings_there(
    Shared(state): Shared<State>,
    Body(there): Body<RingsThere>,
) -> Result<Json<Vec<Gives>>, Problem> {
    worked(&state, move |workshop| there.gives(workshop.habits.unit)).await
}

/// A placing that is asked for.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct PlacingAsked {
    /// The chain.
    request: ChainRequest,
    /// How many rings are in already, over all chains of the plan.
    #[serde(default)]
    done_n: u32,
    /// Whole rows that were counted on the chain in hand, where the place was lost: what comes after those.
    #[serde(default)]
    rows_n: Option<u32>,
}

/// A ring that is put in: through what, with what on it, and what the maker sees.
#[utoipa::path(post, path = "/api/chains/placing", request_body = PlacingAsked,
    responses((status = 200, body = PlacingShown), (status = 422, body = Problem)))]
async fn placing(
    Shared(state): Shared<State>,
    Body(asked): Body<PlacingAsked>,
) -> Result<Json<PlacingShown>, Problem> {
    worked(&state, move |workshop| asked.request.placing(asked.done_n, asked.rows_n, workshop.habits.unit))
        .await
}

/// A chain as a file.
#[utoipa::path(post, path = "/api/chains/export/{file}", request_body = KeptChain,
    params(("file" = String, Path,
        description = "plan.pdf, drawing.svg, chain.stl, rings.csv, placings.csv, chain.json or weave.json")),
    responses((status = 200, description = "The file"), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn take_chain_away(
    Shared(state): Shared<State>,
    Path(file): Path<String>,
    Body(kept): Body<KeptChain>,
) -> Result<Response, Problem> {
    let format = ChainFormat::named(&file)?;
    let settings = super::read(&state, |connection| Ok(crate::store::settings(connection)?.0)).await?;
    let workshop = state.store.workshop();
    let chain = heavily(&state, move |_| Chain::new(kept, &settings, &workshop)).await??;
    let name = chain.file_name(format);
    let bytes = super::made(&state, move |progress| chain::make(&chain, format, progress)).await?;
    Ok(super::file(format.kind(), &name, bytes))
}
