//! What was learned: of lots, of the hand, of jaws, of the steps' minutes; drills; what a scrapped piece can still become;
//! and the history of all readings.

use axum::Json;
use axum::extract::State as Shared;
use lorimant_core::bench::times::Pace;
use lorimant_core::learn::jaw::{JawWear, LoopSeen, RolledLoop, SeenOn, calibrated, seen_on, wear};
use lorimant_core::learn::lot::LotLearned;
use lorimant_core::learn::practice::{Drill, DrillCard, progress};
use lorimant_core::learn::rescue::{KeptOne, Rescues, WentWrong, rescued};
use lorimant_core::learn::rod::{NextCoil, RodNow, next_coil, rod_now};
use lorimant_core::learn::spread::{OwnSpread, learned_from};
use lorimant_core::pattern::PatternRequest;
use lorimant_core::piece::Piece;
use lorimant_core::rack::stock::Lot;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::plier::Plier;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::hardening::HardenedBy;
use lorimant_core::wire::metal::Metal;
use lorimant_core::wire::pull::{PullHow, PullTest};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{aside, read, worked};
use crate::extract::{Body, Path, Query};
use crate::kept::KeptPattern;
use crate::problem::Problem;
use crate::state::State;
use crate::store::checks::{self, Checked, LotPointOf, ReadPage};
use crate::store::shelf::{Entry, Shelf};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(learned_of_lot))
        .routes(routes!(list_learned))
        .routes(routes!(lots_for))
        .routes(routes!(all_readings))
        .routes(routes!(learned_of_hand))
        .routes(routes!(learned_paces))
        .routes(routes!(list_drills))
        .routes(routes!(rescue_piece))
        .routes(routes!(calibrate_plier))
        .routes(routes!(find_wear))
        .routes(routes!(list_worn))
}

/// What is known of a lot.
#[derive(Serialize, ToSchema)]
struct LotKnown {
    /// Its number.
    lot_n: i64,
    /// Its wire in words.
    wire: String,
    /// What was learned.
    #[serde(flatten)]
    learned: LotLearned,
    /// The same in a sentence.
    text: String,
    /// Of which check each point is, in the same order.
    of: Vec<LotPointOf>,
    /// Its pull tests in a sentence each, in the same order as what they say.
    pull_texts: Vec<String>,
    /// How another is made.
    pull_how: PullHow,
    /// The rod its last plan would take now.
    #[serde(skip_serializing_if = "Option::is_none")]
    rod: Option<RodNow>,
    /// Its rods that surely wind otherwise than they are listed, each in a sentence.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    rods: Vec<String>,
    /// The coil that would teach it most.
    #[serde(skip_serializing_if = "Option::is_none")]
    next: Option<NextCoil>,
}

/// What is known of a lot: its factor, each measurement, and the rod it takes now.
#[utoipa::path(get, path = "/api/lots/{id}/learned", params(("id" = i64, Path)),
    responses((status = 200, body = LotKnown), (status = 404, body = Problem)))]
async fn learned_of_lot(
    Shared(state): Shared<State>,
    Path(id): Path<i64>,
) -> Result<Json<LotKnown>, Problem> {
    let workshop = state.store.workshop();
    let (lot, known, last) = read(&state, move |c| {
        let lot: Entry<Lot> = Shelf::Lots.get(c, id)?;
        let known = checks::learned(c, id)?;
        let last = known.of.last().map(|of| checks::checked(c, of.check)).transpose()?;
        Ok((lot, known, last))
    })
    .await?;
    let known = aside(move || {
        let checks::Learned { lot: learned, of, rods } = known;
        // One that was corrected since is another rod.
        let owned = rods.iter().filter(|rod| workshop.own(&rod.rod).is_some());
        let rods = owned.filter_map(|rod| rod.told(workshop.habits.unit)).collect();
        let factor = learned.lot(id);
        let wire = lot.record.wire.clone();
        let rings = last.and_then(|last| match last.entry.record.piece {
            Piece::Rings(request) => Some(request),
            _ => None,
        });
        // Which rod to take is known once the one that is accused was measured.
        let taken = rings.as_ref().filter(|_| learned.accuses_rod().is_none());
        let rod = taken.and_then(|request| rod_now(request, factor, &workshop));
        let coil = rings.unwrap_or_else(|| RingRequest::new(wire.clone(), Mandrel::round(5.0), 40));
        let next = next_coil(&learned, &coil, &workshop);
        let unit = workshop.habits.unit;
        let told = |pull: &PullTest| pull.told(&wire, unit);
        let pull_texts = lot.record.pulls.iter().map(told).collect();
        let pull_how = PullTest::how(&wire, unit);
        let (wire, text) = (wire.shown(unit), learned.told_in(&workshop));
        LotKnown { lot_n: id, wire, text, learned, of, pull_texts, pull_how, rod, rods, next }
    });
    known.await.map(Json)
}

/// A lot with what is known of it, in a line.
#[derive(Serialize, ToSchema)]
struct LotLine {
    /// Its number.
    lot_n: i64,
    /// What it is called.
    name: String,
    /// Its wire in words.
    wire: String,
    /// What is known of how it springs.
    text: String,
    /// Whether anything of it was measured.
    measured: bool,
    /// Its metal.
    metal: Metal,
    /// Where it lies on its metal's curve, by what was learned of it.
    hardened: HardenedBy,
}

fn lot_line(entry: Entry<Lot>, workshop: &Workshop) -> LotLine {
    let known = workshop.lot(entry.id);
    let learned = Wire { lot: Some(known), ..entry.record.wire.clone() };
    LotLine {
        lot_n: entry.id,
        metal: learned.metal,
        hardened: HardenedBy::of(&learned),
        wire: entry.record.wire.shown(workshop.habits.unit),
        name: entry.name,
        text: known.told(),
        measured: known.is_measured(),
    }
}

/// Every lot in use, with what is known of how it springs.
#[utoipa::path(get, path = "/api/learned", responses((status = 200, body = Vec<LotLine>)))]
async fn list_learned(Shared(state): Shared<State>) -> Result<Json<Vec<LotLine>>, Problem> {
    let workshop = state.store.workshop();
    let lots: Vec<Entry<Lot>> = read(&state, |c| Shelf::Lots.all(c)).await?;
    Ok(Json(lots.into_iter().map(|entry| lot_line(entry, &workshop)).collect()))
}

/// The lots that the wire of a piece can be off.
#[utoipa::path(post, path = "/api/learned/for", request_body = Piece,
    responses((status = 200, body = Vec<LotLine>), (status = 422, body = Problem)))]
async fn lots_for(
    Shared(state): Shared<State>,
    Body(piece): Body<Piece>,
) -> Result<Json<Vec<LotLine>>, Problem> {
    let workshop = state.store.workshop();
    let lots: Vec<Entry<Lot>> = read(&state, |c| Shelf::Lots.all(c)).await?;
    let fits = lots.into_iter().filter(|entry| entry.record.covered_wire().stands_for(piece.wire()));
    Ok(Json(fits.map(|entry| lot_line(entry, &workshop)).collect()))
}

/// What part of the history is wanted.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct Before {
    /// Readings before this number; the newest if left out.
    #[serde(default)]
    before: Option<i64>,
    /// How many at most, up to 500; 100 if left out.
    #[serde(default = "super::entries::hundred")]
    most: u32,
}

/// All that was ever read, the newest first.
#[utoipa::path(get, path = "/api/readings", params(Before), responses((status = 200, body = ReadPage)))]
async fn all_readings(
    Shared(state): Shared<State>,
    Query(of): Query<Before>,
) -> Result<Json<ReadPage>, Problem> {
    let (before, workshop) = (of.before.unwrap_or(i64::MAX), state.store.workshop());
    read(&state, move |c| checks::history(c, before, of.most.clamp(1, 500), &workshop)).await.map(Json)
}

/// How even the hand is, as measured.
#[utoipa::path(get, path = "/api/consistency", responses((status = 200, body = OwnSpread)))]
async fn learned_of_hand(Shared(state): Shared<State>) -> Result<Json<OwnSpread>, Problem> {
    let workshop = state.store.workshop();
    let all = read(&state, checks::wound).await?;
    let own = aside(move || {
        let checks = all.iter().map(|one| (one.entry.id, &one.entry.record, &one.readings[..]));
        learned_from(checks, &workshop)
    });
    own.await.map(Json)
}

/// How long steps really take here, against what is reckoned.
#[utoipa::path(get, path = "/api/paces", responses((status = 200, body = Vec<Pace>)))]
async fn learned_paces(Shared(state): Shared<State>) -> Result<Json<Vec<Pace>>, Problem> {
    let workshop = state.store.workshop();
    read(&state, move |c| Ok(crate::store::orders::times(c, &workshop)?.paces())).await.map(Json)
}

/// A drill with how it went so far.
#[derive(Serialize, ToSchema)]
struct DrillShown {
    /// The drill.
    #[serde(flatten)]
    card: DrillCard,
    /// Sets that were measured, the first first: their checks and spreads.
    sets: Vec<DrillSet>,
    /// How it went over the weeks; nothing from one set alone.
    #[serde(skip_serializing_if = "Option::is_none")]
    progress: Option<String>,
}

/// One set of a drill.
#[derive(Serialize, ToSchema)]
struct DrillSet {
    /// Its check.
    check: i64,
    /// When, UTC.
    at: String,
    /// One standard deviation, mm.
    spread_mm: f64,
    /// Whether its target was met.
    target_met: bool,
}

/// The drills there are, and how each went.
#[utoipa::path(get, path = "/api/drills", responses((status = 200, body = Vec<DrillShown>)))]
async fn list_drills(Shared(state): Shared<State>) -> Result<Json<Vec<DrillShown>>, Problem> {
    let workshop = state.store.workshop();
    let drilled = read(&state, checks::drilled).await?;
    let shown = aside(move || {
        let of = |drill: &Drill| {
            let sets: Vec<DrillSet> = drilled
                .iter()
                .filter(|one| one.entry.record.drill == Some(*drill))
                .filter_map(|one| {
                    let sheet = one.entry.record.sheet(&one.readings, &[], &workshop).ok()?;
                    let feedback = sheet.feedback?;
                    let at = one.entry.created_at.clone();
                    Some(DrillSet {
                        check: one.entry.id,
                        at,
                        spread_mm: feedback.spread_mm,
                        target_met: feedback.target_met,
                    })
                })
                .collect();
            let spreads: Vec<f64> = sets.iter().map(|set| set.spread_mm).collect();
            DrillShown { card: drill.card(), progress: progress(&spreads, workshop.habits.unit), sets }
        };
        Drill::ALL.iter().map(of).collect()
    });
    shown.await.map(Json)
}

/// A piece and what went wrong with it.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct RescueAsked {
    /// The piece as it was meant.
    request: PatternRequest,
    /// What went wrong.
    mishap: WentWrong,
}

/// What a scrapped piece can still become, by what wire is left of it.
#[utoipa::path(post, path = "/api/rescue", request_body = RescueAsked,
    responses((status = 200, body = Rescues), (status = 422, body = Problem)))]
async fn rescue_piece(
    Shared(state): Shared<State>,
    Body(asked): Body<RescueAsked>,
) -> Result<Json<Rescues>, Problem> {
    let kept: Vec<Entry<KeptPattern>> = read(&state, |c| Shelf::Patterns.all(c)).await?;
    worked(&state, move |workshop| {
        let kept: Vec<KeptOne> = kept
            .into_iter()
            .map(|entry| KeptOne { id: entry.id, name: entry.record.name, request: entry.record.request })
            .collect();
        rescued(&asked.request, asked.mishap, &kept, workshop)
    })
    .await
}

/// Two loops rolled on a plier.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Calibration {
    /// The plier as it is.
    plier: Plier,
    /// The loop rolled nearer the tip.
    near_tip: RolledLoop,
    /// The loop rolled nearer the base.
    near_base: RolledLoop,
}

/// A tapered plier calibrated by two rolled loops; keep it as any plier.
#[utoipa::path(post, path = "/api/pliers/calibrate", request_body = Calibration,
    responses((status = 200, body = Plier), (status = 422, body = Problem)))]
async fn calibrate_plier(
    Shared(state): Shared<State>,
    Body(asked): Body<Calibration>,
) -> Result<Json<Plier>, Problem> {
    worked(&state, move |_| calibrated(&asked.plier, &asked.near_tip, &asked.near_base)).await
}

/// Loops rolled at a mark.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct RolledAtMark {
    /// The plier as it is known.
    plier: Plier,
    /// The loops.
    loops: Vec<RolledLoop>,
}

/// Whether a mark slipped or a jaw is worn, by the loops that were rolled at it.
#[utoipa::path(post, path = "/api/pliers/wear", request_body = RolledAtMark,
    responses((status = 200, body = JawWear), (status = 422, body = Problem)))]
async fn find_wear(
    Shared(state): Shared<State>,
    Body(asked): Body<RolledAtMark>,
) -> Result<Json<JawWear>, Problem> {
    worked(&state, move |workshop| wear(&asked.plier, &asked.loops, workshop.habits.unit)).await
}

/// Pliers with what measured pieces say of their marks.
#[derive(Serialize, ToSchema)]
struct JawSeen {
    /// The pliers, by their number.
    plier: i64,
    /// What they are called.
    name: String,
    /// What the pieces say.
    #[serde(flatten)]
    seen: SeenOn,
}

/// What pieces that were measured say of the jaws they were rolled on; only of pliers that rolled enough of them since
/// they were last measured themselves.
#[utoipa::path(get, path = "/api/pliers/seen", responses((status = 200, body = Vec<JawSeen>)))]
async fn list_worn(Shared(state): Shared<State>) -> Result<Json<Vec<JawSeen>>, Problem> {
    let workshop = state.store.workshop();
    let (pliers, formed) = read(&state, |c| Ok((Shelf::Pliers.all::<Plier>(c)?, checks::formed(c)?))).await?;
    let seen = aside(move || {
        let of = |one: &Checked| one.entry.record.loops_seen(&one.readings, &workshop).unwrap_or_default();
        let loops: Vec<LoopSeen> = formed.iter().flat_map(of).collect();
        let jaw = |entry: Entry<Plier>| {
            let seen = seen_on(&entry.record, &entry.updated_at, &loops, workshop.habits.unit)?;
            Some(JawSeen { plier: entry.id, name: entry.name, seen })
        };
        pliers.into_iter().filter_map(jaw).collect()
    });
    seen.await.map(Json)
}
