//! A chain from rings of a size, however they were made: planned, or measured in the hand.

use serde::{Deserialize, Serialize};

use super::placing::Building;
use super::plan::counted;
use super::weave::Weave;
use super::{ChainRequest, RingSize, Suits, Taut, known_weave};
use crate::fault::{Faults, Span};
use crate::ring::RingRequest;
use crate::wire::Wire;
use crate::wire::metal::{Metal, Temper};
use lorimant_text::{Text, fixed, text};

/// Rings as they are measured, however they were made.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct MeasuredRings {
    /// Inside diameter, mm: 0.1 to 300.
    pub inside_mm: f64,
    /// Thickness of the wire, mm: 0.1 to 20.
    pub wire_mm: f64,
    /// Its metal; copper if left out.
    #[serde(default)]
    pub metal: Option<Metal>,
}

/// The rings of a chain: a ring plan, or rings as they are measured.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(untagged)]
pub enum OfRings {
    /// A ring plan; its count is not read.
    Plan(Box<RingRequest>),
    /// Rings as they are measured.
    Measured(MeasuredRings),
}

/// What comes of it.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct ChainFrom {
    /// Rings in it; none where they do not go into each other.
    pub rings_n: u32,
    /// Of those, shut beforehand.
    pub pre_closed_n: u32,
    /// Of those, put in open.
    pub open_n: u32,
    /// Rings in a cell.
    pub rings_per_cell: u32,
    /// Cells along its length.
    pub cells_n: u32,
    /// From a cell to the next, taut, mm; nothing where rings do not go into each other.
    pub repeat_mm: f64,
    /// From a cell to the next across, of a sheet, mm.
    pub across_mm: f64,
    /// Inside over wire.
    pub aspect_ratio: f64,
    /// The smallest at which rings go into each other.
    pub smallest_ratio: f64,
    /// What makers usually take, about.
    pub usual_ratio: [f64; 2],
    /// Whether the rings go into each other.
    pub fits: bool,
    /// How the ratio suits.
    pub suits: Suits,
    /// The same in a sentence.
    pub text: String,
    /// How long it is, taut, mm.
    pub chain_length_mm: f64,
    /// Wire in its rings, mm.
    pub wire_length_mm: f64,
    /// Its mass, g.
    pub mass_g: f64,
    /// The metal that mass is of.
    pub metal: Metal,
    /// Wire to pull off the spool for it, where its rings are planned: tails, kerf and ragged ends included, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub off_the_spool_mm: Option<f64>,
}

/// Plans a chain of so much, mm, of a sheet so many cells across, from rings of a size.
///
/// ```
/// use lorimant_core::chain::measured::{MeasuredRings, OfRings, from_rings};
///
/// let rings = OfRings::Measured(MeasuredRings { inside_mm: 5.0, wire_mm: 1.0, metal: None });
/// let chain = from_rings("one-in-one", None, &rings, 420.0, 1).unwrap();
/// // Each ring adds its inside.
/// assert_eq!((chain.rings_n, chain.fits), (84, true));
/// ```
///
/// # Errors
/// A fault at each number that cannot be, and at a weave there is none of; those of a ring plan within `ring`. Rings that do
/// not go into each other are no fault: `fits` says so.
pub fn from_rings(
    word: &str,
    own: Option<&Weave>,
    rings: &OfRings,
    length_mm: f64,
    across_n: u32,
) -> Result<ChainFrom, Faults> {
    let weave = match own {
        Some(own) => {
            own.check().map_err(|faults| faults.within("own_weave"))?;
            own
        }
        None => known_weave(word)?,
    };
    let mut faults = Faults::none();
    let length =
        Span { noun: Text::named("measured-length-chain"), unit: " mm", least: 0.1, most: 100_000.0 };
    faults.keep(length.check("length_mm", length_mm));
    let across =
        Span { noun: Text::named("measured-number-cells-across"), unit: "", least: 1.0, most: 200.0 };
    faults.keep(across.check("across_n", f64::from(across_n)));
    let (size, wire) = match rings {
        OfRings::Plan(ring) => {
            let chain = ChainRequest::new(word, (**ring).clone(), length_mm.max(1.0));
            ChainRequest { own_weave: own.cloned(), ..chain }.check()?;
            let one = RingRequest { rings_n: 1, ..(**ring).clone() };
            let plan = one.plan().map_err(|faults| faults.within("ring"))?;
            let size = RingSize { inside_mm: plan.ring_inside_diameter_mm, wire_mm: ring.wire.size_mm };
            (size, ring.wire.clone())
        }
        OfRings::Measured(measured) => {
            let inside =
                Span { noun: Text::named("measured-inside-diameter"), unit: " mm", least: 0.1, most: 300.0 };
            faults.keep(inside.check("ring.inside_mm", measured.inside_mm));
            let thick = Span { noun: Text::named("measured-wire"), unit: " mm", least: 0.1, most: 20.0 };
            faults.keep(thick.check("ring.wire_mm", measured.wire_mm));
            let size = RingSize { inside_mm: measured.inside_mm, wire_mm: measured.wire_mm };
            (size, Wire::round(measured.metal.unwrap_or(Metal::Copper), measured.wire_mm, Temper::Soft))
        }
    };
    faults.into_result()?;
    let taut = Taut::of(weave, &[size])?;
    let mut answer = ChainFrom {
        rings_n: 0,
        pre_closed_n: 0,
        open_n: 0,
        rings_per_cell: u32::try_from(weave.rings_n()).unwrap_or(0),
        cells_n: 0,
        repeat_mm: taut.repeat_mm,
        across_mm: taut.across_mm,
        aspect_ratio: taut.ratio,
        smallest_ratio: taut.smallest_ratio,
        usual_ratio: taut.usual,
        fits: taut.fits(),
        suits: taut.suits,
        text: String::new(),
        chain_length_mm: 0.0,
        wire_length_mm: 0.0,
        mass_g: 0.0,
        metal: wire.metal,
        off_the_spool_mm: None,
    };
    if !taut.fits() {
        answer.text = text!(
            "measured-rings-with-aspect-ratio-dont",
            ratio = fixed(taut.ratio, 2),
            name = weave.name,
            smallest_ratio = fixed(taut.smallest_ratio, 2)
        );
        return Ok(answer);
    }
    let all = counted(weave, &taut, length_mm, across_n)?;
    let building = Building::of(weave, all.cells_n, all.across_n)?;
    answer.rings_n = all.rings_n;
    (answer.pre_closed_n, answer.open_n, answer.cells_n) =
        (building.shut_n(), building.open_n(), all.cells_n);
    answer.chain_length_mm = f64::from(all.cells_n) * taut.repeat_mm;
    let around_mm = std::f64::consts::TAU * size.core_radius_mm();
    let mut each_mm = around_mm;
    if let OfRings::Plan(ring) = rings {
        let plan = RingRequest { rings_n: all.rings_n, ..(**ring).clone() }
            .plan()
            .map_err(|faults| faults.within("ring"))?;
        each_mm = plan.ring_length_mm;
        answer.off_the_spool_mm = Some(plan.wire_length_mm);
    }
    answer.wire_length_mm = f64::from(all.rings_n) * each_mm;
    answer.mass_g = wire.mass_g(answer.wire_length_mm);
    answer.text = text!(
        "measured-rings-them-pre-closed-ratio",
        rings_n = answer.rings_n,
        shut_before_n = answer.pre_closed_n,
        ratio = fixed(taut.ratio, 2),
        suits = taut.suits.shown()
    );
    Ok(answer)
}
