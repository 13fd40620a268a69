//! What is bought: a listing read, how wires are kept, what is low, scrap and what metal is worth.

use axum::Json;
use axum::extract::State as Shared;
use axum::http::StatusCode;
use axum::response::Response;
use lorimant_core::rack::cut_plan::picked;
use lorimant_core::rack::listing::{self, Listing, Prices};
use lorimant_core::rack::stock::both_ways;
use lorimant_core::rack::stock::buying::{Need, StockLevel, needs, shortest_useful_mm};
use lorimant_core::rack::stock::scrap::{MetalPrice, Scrap, ScrapChange};
use lorimant_core::ring::supply::Supply;
use lorimant_core::wire::Wire;
use rust_decimal::Decimal;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

use super::{file, made, read, write};
use crate::export::rack_tables::needs_csv;
use crate::extract::{Body, understand};
use crate::problem::Problem;
use crate::state::State;
use crate::store::batch;
use crate::store::shelf::{Entry, Written};
use crate::store::{orders, rack};

pub(super) fn router() -> OpenApiRouter<State> {
    OpenApiRouter::new()
        .routes(routes!(decode_listing))
        .routes(routes!(list_keepings, keep))
        .routes(routes!(how_kept))
        .routes(routes!(list_needs))
        .routes(routes!(needs_table))
        .routes(routes!(list_scrap, book_scrap))
        .routes(routes!(metal_price_feed))
        .routes(routes!(weigh_wire))
}

/// A shop's line to read.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct ListingText {
    /// The line, as it was pasted; at most 300 characters are read.
    text: String,
    /// A blank to price, mm.
    #[serde(default)]
    blank_mm: Option<f64>,
}

/// What a listing says, with the price of a blank where one was asked for.
#[derive(Serialize, ToSchema)]
struct Decoded {
    /// What it says.
    #[serde(flatten)]
    listing: Listing,
    /// The wire, where metal and size are known.
    #[serde(skip_serializing_if = "Option::is_none")]
    wire: Option<Wire>,
    /// What its prices come to, in sentences.
    prices: Prices,
    /// Price of the blank, as a decimal number.
    #[serde(skip_serializing_if = "Option::is_none")]
    per_blank: Option<String>,
}

/// Reads a shop's listing; what it does not say, or says in more than one way, is pointed out.
#[utoipa::path(post, path = "/api/listings/decode", request_body = ListingText,
    responses((status = 200, body = Decoded), (status = 422, body = Problem)))]
async fn decode_listing(
    Shared(state): Shared<State>,
    Body(asked): Body<ListingText>,
) -> Result<Json<Decoded>, Problem> {
    let (settings, _) = read(&state, crate::store::settings).await?;
    let listing = listing::decode(&asked.text, state.store.workshop().habits);
    let price = asked.blank_mm.and_then(|mm| listing.price_of(mm));
    Ok(Json(Decoded {
        per_blank: price.map(|price| price.to_string()),
        wire: listing.wire(),
        prices: listing.prices(&settings.currency, asked.blank_mm),
        listing,
    }))
}

/// How each wire is kept.
#[utoipa::path(get, path = "/api/settings/wires", responses((status = 200, body = [Entry<StockLevel>])))]
async fn list_keepings(Shared(state): Shared<State>) -> Result<Json<Vec<Entry<StockLevel>>>, Problem> {
    read(&state, rack::keepings).await.map(Json)
}

/// Says how a wire is kept, in place of what was said of it before.
#[utoipa::path(put, path = "/api/settings/wires", request_body = StockLevel,
    responses((status = 200, body = Written<StockLevel>), (status = 422, body = Problem)))]
async fn keep(
    Shared(state): Shared<State>,
    Body(keeping): Body<StockLevel>,
) -> Result<Json<Written<StockLevel>>, Problem> {
    keeping.check()?;
    let written = write(&state, move |t| {
        let undo = batch::next(t)?;
        Ok(Written { entry: rack::keep(t, undo, &keeping)?, undo })
    });
    written.await.map(Json)
}

/// How a wire is kept.
#[derive(Serialize, ToSchema)]
struct HowKept {
    /// What was said of it; empty where nothing was.
    keeping: StockLevel,
    /// Rests shorter than this are scrap where nothing else is said, mm.
    usual_shortest_mm: f64,
}

/// How a wire is kept, whether anything was said of it or not.
#[utoipa::path(post, path = "/api/settings/wires/of", request_body = Wire,
    responses((status = 200, body = HowKept), (status = 422, body = Problem)))]
async fn how_kept(Shared(state): Shared<State>, Body(wire): Body<Wire>) -> Result<Json<HowKept>, Problem> {
    wire.check()?;
    let usual_shortest_mm = shortest_useful_mm(&wire);
    let keeping = read(&state, move |c| {
        Ok(rack::keeping_of(c, &wire)?.map_or_else(|| StockLevel::unsaid(wire), |entry| entry.record))
    });
    Ok(Json(HowKept { keeping: keeping.await?, usual_shortest_mm }))
}

async fn all_needs(state: &State) -> Result<Vec<Need>, Problem> {
    let workshop = state.store.workshop();
    let unit = workshop.habits.unit;
    let known = workshop.clone();
    let (picked, there, keepings) = read(state, move |c| {
        Ok((orders::to_be_cut(c, &known)?, rack::wire_in_stock(c)?, rack::keepings(c)?))
    })
    .await?;
    let wanted: Vec<(Wire, f64)> =
        picked::by_wire(&picked, &[], &workshop)?.into_iter().map(|one| (one.wire, one.wanted_mm)).collect();
    let keepings: Vec<StockLevel> = keepings.into_iter().map(|entry| entry.record).collect();
    Ok(needs(&keepings, &there, &wanted, unit))
}

/// What there is of each wire that is kept or wanted, against what the picks want, and what to buy.
#[utoipa::path(get, path = "/api/buying-list", responses((status = 200, body = Vec<Need>)))]
async fn list_needs(Shared(state): Shared<State>) -> Result<Json<Vec<Need>>, Problem> {
    all_needs(&state).await.map(Json)
}

/// The buying list as a table: wires that are missing, in whole packs.
#[utoipa::path(get, path = "/api/buying-list.csv", responses((status = 200, body = String, content_type = "text/csv")))]
async fn needs_table(Shared(state): Shared<State>) -> Result<Response, Problem> {
    let needs = all_needs(&state).await?;
    let bytes = made(&state, move |_| needs_csv(&needs)).await?;
    Ok(file("text/csv; charset=utf-8", "lorimant-buying-list.csv", bytes))
}

/// Scrap, and what it is worth.
#[derive(Serialize, ToSchema)]
struct ScrapHeap {
    /// Piles by metal and cleanliness.
    piles: Vec<Scrap>,
    /// What all of them are worth, as far as prices are known. An estimate.
    #[schema(value_type = String)]
    value: Decimal,
}

/// Scrap by metal and cleanliness, with grams and an estimate of its value.
#[utoipa::path(get, path = "/api/scrap", responses((status = 200, body = ScrapHeap)))]
async fn list_scrap(Shared(state): Shared<State>) -> Result<Json<ScrapHeap>, Problem> {
    let (piles, (settings, _)) =
        read(&state, |c| Ok((crate::store::ledger::piles(c)?, crate::store::settings(c)?))).await?;
    let piles: Vec<Scrap> = piles
        .into_iter()
        .map(|(metal, cleanliness, mass_g)| Scrap::valued(metal, cleanliness, mass_g, &settings.metal_prices))
        .collect();
    let value = piles.iter().filter_map(|pile| pile.value).sum();
    Ok(Json(ScrapHeap { piles, value }))
}

/// The number that undoes a change of scrap.
#[derive(Serialize, ToSchema)]
struct BookedScrap {
    /// Number to post to `/api/undo/{batch}`.
    undo: i64,
}

/// Puts scrap on its pile, or takes some out.
#[utoipa::path(post, path = "/api/scrap", request_body = ScrapChange,
    responses((status = 201, body = BookedScrap), (status = 422, body = Problem)))]
async fn book_scrap(
    Shared(state): Shared<State>,
    Body(change): Body<ScrapChange>,
) -> Result<(StatusCode, Json<BookedScrap>), Problem> {
    change.check()?;
    let undo = write(&state, move |t| {
        let undo = batch::next(t)?;
        crate::store::ledger::book_scrap(t, undo, &change)?;
        Ok(undo)
    });
    Ok((StatusCode::CREATED, Json(BookedScrap { undo: undo.await? })))
}

/// Prices of metals, as a feed would send them.
#[derive(Serialize, Deserialize, ToSchema)]
struct PriceFeed {
    /// Where they come from.
    source: String,
    /// The day they are of.
    day: String,
    /// Price of a gram of each metal, in whatever the workshop reckons in.
    prices: Vec<MetalPrice>,
}

/// The feed that ships with the program in place of one from outside: invented prices.
const FEED: &str = include_str!("../../../../demo/metal-prices.json");

/// Prices from the simulated feed; they count once they are taken over into the settings.
#[utoipa::path(get, path = "/api/metal-prices/feed",
    responses((status = 200, body = PriceFeed), (status = 422, body = Problem)))]
async fn metal_price_feed() -> Result<Json<PriceFeed>, Problem> {
    understand(FEED.as_bytes()).map(Json)
}

/// A wire, and how much of it by length or by weight.
#[derive(Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
struct Amount {
    /// The wire.
    wire: Wire,
    /// Its length, mm.
    #[serde(default)]
    length_mm: Option<f64>,
    /// Its weight, g.
    #[serde(default)]
    mass_g: Option<f64>,
    /// Either of them as typed: `3 m`, `10 ft`, `50 g`, `2 oz`.
    #[serde(default)]
    typed: Option<String>,
}

/// The same amount both ways.
#[derive(Serialize, ToSchema)]
struct BothWays {
    /// Length, mm.
    length_mm: f64,
    /// Weight, g.
    mass_g: f64,
}

/// Length to weight and back, for a wire of any section.
#[utoipa::path(post, path = "/api/wires/weigh", request_body = Amount,
    responses((status = 200, body = BothWays), (status = 422, body = Problem)))]
async fn weigh_wire(
    Shared(state): Shared<State>,
    Body(amount): Body<Amount>,
) -> Result<Json<BothWays>, Problem> {
    let Amount { wire, length_mm, mass_g, typed } = amount;
    wire.check().map_err(|fault| fault.within("wire"))?;
    let (length_mm, mass_g) = match typed {
        Some(text) => {
            let supply = Supply::read(&text, state.store.workshop().habits)?;
            (supply.wire_length_mm, supply.wire_mass_g)
        }
        None => (length_mm, mass_g),
    };
    let (length_mm, mass_g) = both_ways(&wire, length_mm, mass_g)?;
    Ok(Json(BothWays { length_mm, mass_g }))
}
