//! Working on a finding: its kinds, its shape, its words, fits, other wires, mates; taking it away.

use axum::Json;
use axum::extract::State as Shared;
use axum::response::Response;
use lorimant_core::pattern::backwards::{Fitted, Target};
use lorimant_core::pattern::compare::Comparison;
use lorimant_core::pattern::from_tools::Tools;
use lorimant_core::pattern::page::Page;
use lorimant_core::pattern::sheet::{Extent, PatternForm, PatternSheet};
use lorimant_core::pattern::transfer::Transferred;
use lorimant_core::pattern::{Family, Kind, Parameter, PatternRequest, Worn};
use lorimant_core::piece::Piece;
use lorimant_core::piece::mate::{self, Fit, SetStrength};
use lorimant_core::wire::Wire;
use lorimant_core::words::sentence::{Change, Choice};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::ask::with_kept;
use super::{aside, worked};
use crate::export::finding::{self, Finding, PatternFormat};
use crate::extract::{Body, Path, Query};
use crate::kept::KeptPattern;
use crate::problem::Problem;
use crate::state::State;

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(pattern_kinds))
        .routes(routes!(form_pattern))
        .routes(routes!(pattern_sheet))
        .routes(routes!(change_pattern_word))
        .routes(routes!(pattern_word_choices))
        .routes(routes!(fit_pattern))
        .routes(routes!(pattern_from_tools))
        .routes(routes!(transfer_pattern))
        .routes(routes!(compare_patterns))
        .routes(routes!(mate_pieces))
        .routes(routes!(mate_typed))
        .routes(routes!(weigh_set))
        .routes(routes!(take_pattern_away))
}

/// A finding that can be made.
#[derive(Serialize, ToSchema)]
struct PatternKind {
    /// The word it travels as.
    kind: Kind,
    /// What one is called.
    name: &'static str,
    /// What several are called.
    plural: &'static str,
    /// Its family.
    family: Family,
    /// What the family is called.
    family_label: &'static str,
    /// Where it is worn.
    worn: Worn,
    /// The same in words.
    worn_label: &'static str,
    /// Whether it is counted in pairs.
    paired: bool,
    /// What can be chosen about it.
    parameters: &'static [Parameter],
    /// The wire it is usually made of.
    wire: Wire,
    /// What it is for, which wire and why, what goes wrong.
    page: Page,
}

/// The findings that can be made, with what can be chosen about each.
#[utoipa::path(get, path = "/api/finding-kinds", responses((status = 200, body = Vec<PatternKind>)))]
async fn pattern_kinds() -> Json<Vec<PatternKind>> {
    let row = |kind: Kind| PatternKind {
        kind,
        name: kind.0.name.as_str(),
        plural: kind.0.plural.as_str(),
        family: kind.0.family,
        family_label: kind.0.family.shown(),
        worn: kind.0.worn,
        worn_label: kind.0.worn.shown(),
        paired: kind.0.paired,
        parameters: kind.0.parameters,
        wire: kind.0.usual(),
        page: kind.0.page,
    };
    Json(Kind::all().map(row).collect())
}

/// Forms a finding: developed length, blank, segments, marks, steps, checks, mass.
#[utoipa::path(post, path = "/api/findings/form", request_body = PatternRequest,
    responses((status = 200, body = PatternForm), (status = 422, body = Problem)))]
async fn form_pattern(
    Shared(state): Shared<State>,
    Body(request): Body<PatternRequest>,
) -> Result<Json<PatternForm>, Problem> {
    worked(&state, move |workshop| Ok(request.finished(workshop)?.in_numbers(workshop))).await
}

/// Everything the drawing room shows; faults come inside, so that the sentence can still be shown.
#[utoipa::path(post, path = "/api/findings/sheet", request_body = PatternRequest,
    responses((status = 200, body = PatternSheet), (status = 422, body = Problem)))]
async fn pattern_sheet(
    Shared(state): Shared<State>,
    Body(request): Body<PatternRequest>,
) -> Result<Json<PatternSheet>, Problem> {
    worked(&state, move |workshop| Ok(request.sheet(workshop))).await
}

/// How much of a sheet is wanted.
#[derive(Deserialize, IntoParams)]
#[serde(deny_unknown_fields)]
#[into_params(parameter_in = Query)]
struct SheetQuery {
    /// Only what is seen while a dimension is dragged: no side view, no forming stages.
    #[serde(default)]
    dragged: bool,
}

/// A word of a pattern's sentence to change.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct PatternWordChange {
    /// The pattern.
    request: PatternRequest,
    /// The word: `pieces`, `kind`, `temper`, `metal`, `section`, `size`, `plier`, `hand` or a parameter's name.
    slot: String,
    /// What to do to it.
    change: Change,
}

/// Changes one word of the sentence and gives the sheet that comes of it.
#[utoipa::path(post, path = "/api/findings/change", params(SheetQuery), request_body = PatternWordChange,
    responses((status = 200, body = PatternSheet), (status = 422, body = Problem)))]
async fn change_pattern_word(
    Shared(state): Shared<State>,
    Query(SheetQuery { dragged }): Query<SheetQuery>,
    Body(word): Body<PatternWordChange>,
) -> Result<Json<PatternSheet>, Problem> {
    let extent = if dragged { Extent::Dragged } else { Extent::Whole };
    worked(&state, move |workshop| {
        let changed = word.request.changed(&word.slot, &word.change, workshop)?;
        Ok(changed.sheet_with(workshop, extent))
    })
    .await
}

/// A word of a pattern's sentence to choose for.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct PatternWordChoice {
    /// The pattern.
    request: PatternRequest,
    /// The word.
    slot: String,
}

/// What a word could be instead, each with what it would change; nothing for a word that is typed.
#[utoipa::path(post, path = "/api/findings/choices", request_body = PatternWordChoice,
    responses((status = 200, body = [Choice<PatternRequest>]), (status = 422, body = Problem)))]
async fn pattern_word_choices(
    Shared(state): Shared<State>,
    Body(word): Body<PatternWordChoice>,
) -> Result<Json<Vec<Choice<PatternRequest>>>, Problem> {
    worked(&state, move |workshop| Ok(word.request.choices(&word.slot, workshop))).await
}

/// A pattern and the results wanted of it.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct FitWish {
    /// The pattern.
    request: PatternRequest,
    /// What is wanted: a height, a width, a blank.
    targets: Vec<Target>,
}

/// A piece that comes out as wanted, and what gave way for it.
#[derive(Serialize, ToSchema)]
struct FittedSheet {
    /// The piece.
    #[serde(flatten)]
    sheet: PatternSheet,
    /// What gave way, each in words.
    changes: Vec<String>,
}

/// Solves the free dimensions of a pattern so that it comes out as wanted.
#[utoipa::path(post, path = "/api/findings/fit", request_body = FitWish,
    responses((status = 200, body = FittedSheet), (status = 422, body = Problem)))]
async fn fit_pattern(
    Shared(state): Shared<State>,
    Body(wish): Body<FitWish>,
) -> Result<Json<FittedSheet>, Problem> {
    worked(&state, move |workshop| {
        let Fitted { request, changes } = wish.request.fitted_with(&wish.targets, workshop)?;
        Ok(FittedSheet { sheet: request.sheet(workshop), changes })
    })
    .await
}

/// A finding, and what is in hand to make it of.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct ToolsWish {
    /// The finding.
    request: PatternRequest,
    /// Pliers, a mark on their jaw, the length that is cut.
    tools: Tools,
}

/// The piece that comes of the tools in hand: its sizes follow from the jaws and the cut length.
#[utoipa::path(post, path = "/api/findings/from-tools", request_body = ToolsWish,
    responses((status = 200, body = FittedSheet), (status = 422, body = Problem)))]
async fn pattern_from_tools(
    Shared(state): Shared<State>,
    Body(wish): Body<ToolsWish>,
) -> Result<Json<FittedSheet>, Problem> {
    worked(&state, move |workshop| {
        let Fitted { request, changes } =
            wish.request.from_tools(&wish.tools, workshop).map_err(|faults| faults.within("tools"))?;
        Ok(FittedSheet { sheet: request.sheet(workshop), changes })
    })
    .await
}

/// A pattern and another wire.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct TransferWish {
    /// The pattern.
    request: PatternRequest,
    /// The other wire.
    wire: Wire,
}

/// Carries a pattern over to another wire, proportions kept, and lists what differs.
#[utoipa::path(post, path = "/api/findings/transfer", request_body = TransferWish,
    responses((status = 200, body = Transferred), (status = 422, body = Problem)))]
async fn transfer_pattern(
    Shared(state): Shared<State>,
    Body(wish): Body<TransferWish>,
) -> Result<Json<Transferred>, Problem> {
    worked(&state, move |workshop| wish.request.transferred(&wish.wire, workshop)).await
}

/// Two findings to lay over each other.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Over {
    /// The one that is worked on.
    here: PatternRequest,
    /// The one laid over it.
    there: PatternRequest,
}

/// Lays one finding over another: what differs, and where it has to lie.
#[utoipa::path(post, path = "/api/findings/compare", request_body = Over,
    responses((status = 200, body = Comparison), (status = 422, body = Problem)))]
async fn compare_patterns(
    Shared(state): Shared<State>,
    Body(Over { here, there }): Body<Over>,
) -> Result<Json<Comparison>, Problem> {
    worked(&state, move |workshop| here.compared(&there, workshop)).await
}

/// Two pieces that are to go together.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Pair {
    /// The first piece.
    first: Piece,
    /// The other.
    second: Piece,
}

/// A piece, and another that is typed.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct WithTyped {
    /// The first piece.
    first: Piece,
    /// The other in words: `6 mm ring of 18 ga`, or what it is kept as.
    typed: String,
}

/// What was typed, understood, and whether the two go together.
#[derive(Serialize, ToSchema)]
struct Mated {
    /// The piece that was typed, in a sentence.
    read: String,
    /// What had to be assumed.
    assumed: Vec<String>,
    /// How the two go together.
    fits: Vec<Fit>,
}

/// Whether a piece goes together with one that is typed.
#[utoipa::path(post, path = "/api/findings/mate-typed", request_body = WithTyped,
    responses((status = 200, body = Mated), (status = 422, body = Problem)))]
async fn mate_typed(
    Shared(state): Shared<State>,
    Body(WithTyped { first, typed }): Body<WithTyped>,
) -> Result<Json<Mated>, Problem> {
    let workshop = state.store.workshop();
    let unit = workshop.habits.unit;
    let store = state.store.clone();
    let typed =
        aside(move || with_kept(&store, |workshop, kept| lorimant_core::ask::piece(&typed, workshop, kept)));
    let (second, assumed) = typed.await???;
    let fits = mate::mate(&first, &second, &workshop)?;
    Ok(Json(Mated { read: second.with_count(1).sentence(unit), assumed, fits }))
}

/// Whether two pieces go into each other and stay there.
#[utoipa::path(post, path = "/api/findings/mate", request_body = Pair,
    responses((status = 200, body = Vec<Fit>), (status = 422, body = Problem)))]
async fn mate_pieces(
    Shared(state): Shared<State>,
    Body(pair): Body<Pair>,
) -> Result<Json<Vec<Fit>>, Problem> {
    Ok(Json(mate::mate(&pair.first, &pair.second, &state.store.workshop())?))
}

/// The parts of a set, in any order.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct PartsOfSet {
    /// Two to twenty pieces.
    parts: Vec<Piece>,
}

/// Which part of a set gives first when it is pulled. Loads are estimates.
#[utoipa::path(post, path = "/api/pieces/weakest", request_body = PartsOfSet,
    responses((status = 200, body = SetStrength), (status = 422, body = Problem)))]
async fn weigh_set(
    Shared(state): Shared<State>,
    Body(set): Body<PartsOfSet>,
) -> Result<Json<SetStrength>, Problem> {
    worked(&state, move |workshop| mate::weakest(&set.parts, workshop)).await
}

/// A pattern as a file: a card for paper, a label, a drawing, a bend table, or the pattern itself.
#[utoipa::path(post, path = "/api/findings/export/{file}", request_body = KeptPattern,
    params(("file" = String, Path,
        description = "card-a4.pdf, card-a5.pdf, card.svg, label.pdf, drawing.dxf, bends.csv or pattern.json")),
    responses((status = 200, description = "The file"), (status = 404, body = Problem), (status = 422, body = Problem)))]
async fn take_pattern_away(
    Shared(state): Shared<State>,
    Path(file): Path<String>,
    Body(pattern): Body<KeptPattern>,
) -> Result<Response, Problem> {
    let format = PatternFormat::named(&file)?;
    let settings = super::read(&state, |connection| Ok(crate::store::settings(connection)?.0)).await?;
    let finding = Finding::new(pattern, &settings, &state.store.workshop())?;
    let name = finding.file_name(format);
    let bytes = super::made(&state, move |progress| finding::make(&finding, format, progress)).await?;
    Ok(super::file(format.kind(), &name, bytes))
}
