//! What picked plans and findings want cut, wire by wire.

use serde::Serialize;

use super::Demand;
use crate::fault::Faults;
use crate::pattern::blank::TRIM;
use crate::piece::{Blanks, Piece};
use crate::rack::stock::buying::shortest_useful_mm;
use crate::wire::Wire;
use crate::words::length::LengthUnit;

/// A plan or finding that is to be made.
#[derive(Debug, Clone, PartialEq)]
pub struct Picked {
    /// What it is called.
    pub what: String,
    /// What is made, and how many.
    pub piece: Piece,
}

/// What is wanted of one wire.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct WireDemand {
    /// The wire.
    pub wire: Wire,
    /// The wire in words.
    pub shown: String,
    /// The blanks, as a cut plan takes them.
    pub demand: Vec<Demand>,
    /// All of them end to end, mm.
    pub wanted_mm: f64,
    /// Taken off each end that is made flush, mm: 0.6 thicknesses, as much as flush cutters lose.
    pub trim_mm: f64,
    /// A rest shorter than this is scrap, mm, unless the workshop says otherwise.
    pub shortest_useful_mm: f64,
}

/// Puts together what is wanted of each wire, in the order the wires first appear.
///
/// # Errors
/// The first plan or finding that cannot be made, its faults within `picked[i]`.
pub fn by_wire(picked: &[Picked], unit: LengthUnit) -> Result<Vec<WireDemand>, Faults> {
    let mut wires: Vec<WireDemand> = vec![];
    for (i, pick) in picked.iter().enumerate() {
        let blanks = pick.piece.blanks(unit).map_err(|faults| faults.within(&format!("picked[{i}]")))?;
        let Blanks { length_mm, n } = blanks;
        let wire = pick.piece.wire();
        let at = wires.iter().position(|one| one.wire.stands_for(wire)).unwrap_or_else(|| {
            wires.push(WireDemand {
                wire: wire.clone(),
                shown: wire.shown(unit),
                demand: vec![],
                wanted_mm: 0.0,
                trim_mm: TRIM * wire.profile().thickness_mm(),
                shortest_useful_mm: shortest_useful_mm(wire),
            });
            wires.len() - 1
        });
        let of = &mut wires[at];
        of.wanted_mm += length_mm * f64::from(n);
        let id = named_apart(&pick.what, &of.demand);
        of.demand.push(Demand { id, length_mm, n });
    }
    Ok(wires)
}

/// A name that no other demand has: the plan's own, or that with a number.
fn named_apart(what: &str, demand: &[Demand]) -> String {
    let name: String = what.trim().chars().take(72).collect();
    let name = if name.is_empty() { "blank".to_owned() } else { name };
    let taken = |id: &str| demand.iter().any(|one| one.id == id);
    let numbered = (2..).map(|k| format!("{name} ({k})"));
    std::iter::once(name.clone()).chain(numbered).find(|id| !taken(id)).unwrap_or(name)
}
