//! Planning rings: forwards, backwards, from a supply, word by word; and taking a plan away.

use axum::Json;
use axum::extract::State as Shared;
use axum::response::Response;
use lorimant_core::fault::Fault;
use lorimant_core::figure::Figure;
use lorimant_core::ring::backwards::{RingTarget, RodChoice};
use lorimant_core::ring::caution::Caution;
use lorimant_core::words::quoted;

use lorimant_core::ring::sentence::{self, Slot};
use lorimant_core::ring::sheet::Sheet;
use lorimant_core::ring::supply::{HowMany, Supply};
use lorimant_core::ring::{RingPlan, RingRequest};
use lorimant_core::words::sentence::{Change, Choice, text};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::worked;
use crate::export::{self, Format, Sheetable};
use crate::extract::{Body, Path};
use crate::kept::KeptPlan;
use crate::problem::Problem;
use crate::state::State;
use lorimant_text::text;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(plan_rings))
        .routes(routes!(find_mandrel))
        .routes(routes!(ring_sheet))
        .routes(routes!(change_word))
        .routes(routes!(word_choices))
        .routes(routes!(how_many))
        .routes(routes!(take_away))
}

/// A plan with its sentence, figures and cautions.
#[derive(Serialize, ToSchema)]
struct Planned {
    /// The plan's numbers.
    #[serde(flatten)]
    plan: RingPlan,
    /// The plan as a sentence.
    text: String,
    /// Its figures with their working.
    figures: Vec<Figure>,
    /// Its cautions.
    cautions: Vec<Caution>,
}

/// Plans rings on a rod.
#[utoipa::path(post, path = "/api/rings/plan", request_body = RingRequest,
    responses((status = 200, body = Planned), (status = 422, body = Problem)))]
async fn plan_rings(
    Shared(state): Shared<State>,
    Body(request): Body<RingRequest>,
) -> Result<Json<Planned>, Problem> {
    worked(&state, move |workshop| {
        let finished = request.finished(workshop)?;
        Ok(Planned {
            text: text(&sentence::write(&request, Some(&finished.plan), workshop.habits.unit)),
            figures: finished.figures(&request, workshop),
            cautions: finished.plan.cautions(&request, workshop),
            plan: finished.plan,
        })
    })
    .await
}

/// Finds the rod for a ring wanted in the hand.
#[utoipa::path(post, path = "/api/rings/mandrel", request_body = RingTarget,
    responses((status = 200, body = RodChoice), (status = 422, body = Problem)))]
async fn find_mandrel(
    Shared(state): Shared<State>,
    Body(target): Body<RingTarget>,
) -> Result<Json<RodChoice>, Problem> {
    worked(&state, move |workshop| target.choose(workshop)).await
}

/// Everything a planning view shows; faults come inside, so that the sentence can still be shown.
#[utoipa::path(post, path = "/api/rings/sheet", request_body = RingRequest,
    responses((status = 200, body = Sheet), (status = 422, body = Problem)))]
async fn ring_sheet(
    Shared(state): Shared<State>,
    Body(request): Body<RingRequest>,
) -> Result<Json<Sheet>, Problem> {
    worked(&state, move |workshop| Ok(request.sheet(workshop))).await
}

/// A word of a plan's sentence to change.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct WordChange {
    /// The plan.
    request: RingRequest,
    /// The word.
    slot: Slot,
    /// What to do to it.
    change: Change,
}

/// Changes one word of the sentence and gives the sheet that comes of it.
#[utoipa::path(post, path = "/api/rings/change", request_body = WordChange,
    responses((status = 200, body = Sheet), (status = 422, body = Problem)))]
async fn change_word(
    Shared(state): Shared<State>,
    Body(word): Body<WordChange>,
) -> Result<Json<Sheet>, Problem> {
    worked(&state, move |workshop| {
        Ok(word.request.changed(word.slot, &word.change, workshop)?.sheet(workshop))
    })
    .await
}

/// A word of a plan's sentence to choose for.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct WordChoice {
    /// The plan.
    request: RingRequest,
    /// The word.
    slot: Slot,
}

/// What a word could be instead, each with what it would change.
#[utoipa::path(post, path = "/api/rings/choices", request_body = WordChoice,
    responses((status = 200, body = [Choice<RingRequest>]), (status = 422, body = Problem)))]
async fn word_choices(
    Shared(state): Shared<State>,
    Body(word): Body<WordChoice>,
) -> Result<Json<Vec<Choice<RingRequest>>>, Problem> {
    worked(&state, move |workshop| Ok(word.request.choices(word.slot, workshop))).await
}

/// A plan and the wire there is for it.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct SupplyQuestion {
    /// The plan; its count is not read.
    request: RingRequest,
    /// The wire there is.
    #[serde(default)]
    supply: Option<Supply>,
    /// The same as typed, for example `3 m` or `50 g`; one of the two.
    #[serde(default)]
    typed: Option<String>,
}

/// How many rings a length or mass of wire makes.
#[utoipa::path(post, path = "/api/rings/how-many", request_body = SupplyQuestion,
    responses((status = 200, body = HowMany), (status = 422, body = Problem)))]
async fn how_many(
    Shared(state): Shared<State>,
    Body(question): Body<SupplyQuestion>,
) -> Result<Json<HowMany>, Problem> {
    let supply = match (question.supply, question.typed) {
        (Some(supply), None) => supply,
        (None, Some(typed)) => Supply::read(&typed, state.store.workshop().habits)?,
        _ => {
            return Err(Fault::new("supply", text!("api-routes-rings-enter-wire-you-have-supply")).into());
        }
    };
    worked(&state, move |workshop| supply.makes(&question.request, workshop)).await
}

/// A plan as a file: `cut-sheet.pdf`, `cut-sheet.svg`, `label.pdf`, `plan.csv` or `plan.json`.
#[utoipa::path(post, path = "/api/rings/export/{file}", request_body = KeptPlan,
    params(("file" = String, Path, description = "cut-sheet.pdf, cut-sheet.svg, label.pdf, plan.csv or plan.json")),
    responses((status = 200, description = "The file"), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn take_away(
    Shared(state): Shared<State>,
    Path(file): Path<String>,
    Body(kept): Body<KeptPlan>,
) -> Result<Response, Problem> {
    let format = Format::named(&file).ok_or_else(|| {
        Problem::missing(text!("api-routes-rings-there-no-file-called-there", file = quoted(&file)))
    })?;
    let settings = super::read(&state, |connection| Ok(crate::store::settings(connection)?.0)).await?;
    let sheetable = Sheetable::new(kept, &settings, &state.store.workshop())?;
    let name = sheetable.file_name(format);
    let bytes = super::made(&state, move |_| export::make(&sheetable, format)).await?;
    Ok(super::file(format.kind(), &name, bytes))
}
