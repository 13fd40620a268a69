//! What picked plans and findings want cut, wire by wire.

use serde::Serialize;

use super::Demand;
use crate::fault::Faults;
use crate::piece::{Blanks, Piece};
use crate::rack::stock::booking::BlanksCut;
use crate::rack::stock::buying::{StockLevel, shortest_useful_mm};
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use lorimant_text::text;

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
    pub label: String,
    /// The blanks, as a cut plan takes them.
    pub demand: Vec<Demand>,
    /// All of them end to end, mm.
    pub wanted_mm: f64,
    /// Taken off each piece of stock beside the blanks, mm: nothing, as each blank has the sliver that makes it flush.
    pub trim_mm: f64,
    /// A rest shorter than this is scrap, mm, as the workshop says or as is usual.
    pub shortest_useful_mm: f64,
    /// What is planned for one lot alone, since it springs in its own way: a sentence each.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub of_lots: Vec<String>,
    /// Which of what was picked wants it, in the order of the demands.
    #[serde(skip)]
    pub picks: Vec<usize>,
}

/// Puts together what is wanted of each wire, in the order the wires first appear.
///
/// ```
/// use lorimant_core::ring::RingRequest;
/// use lorimant_core::tool::mandrel::Mandrel;
/// use lorimant_core::tool::workshop::Workshop;
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::piece::Piece;
/// use lorimant_core::rack::cut_plan::picked::{Picked, by_wire};
///
/// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
/// let picked = |what: &str, n| Picked {
///     what: what.into(),
///     piece: Piece::Rings(RingRequest::new(wire.clone(), Mandrel::round(5.0), n)),
/// };
/// // Two picks of one wire are cut together.
/// let wires = by_wire(&[picked("collar", 40), picked("cuff", 60)], &[], &Workshop::default()).unwrap();
/// assert_eq!((wires.len(), wires[0].demand.len()), (1, 2));
/// ```
///
/// # Errors
/// The first plan or finding that cannot be made, its faults within `picked[i]`.
pub fn by_wire(
    picked: &[Picked],
    keepings: &[StockLevel],
    workshop: &Workshop,
) -> Result<Vec<WireDemand>, Faults> {
    let unit = workshop.habits.unit;
    let mut wires: Vec<WireDemand> = vec![];
    for (i, pick) in picked.iter().enumerate() {
        let finished = pick.piece.clone().known(workshop).finished(workshop);
        let finished = finished.map_err(|faults| faults.within(&format!("picked[{i}]")))?;
        for (wire, Blanks { length_mm, flush_mm, n }) in &finished.cut {
            let at = wires.iter().position(|one| one.wire.stands_for(wire)).unwrap_or_else(|| {
                wires.push(WireDemand {
                    wire: wire.clone().of_any_lot(),
                    label: wire.shown(unit),
                    demand: vec![],
                    wanted_mm: 0.0,
                    trim_mm: 0.0,
                    shortest_useful_mm: keepings
                        .iter()
                        .find(|keeping| keeping.wire.stands_for(wire))
                        .map_or_else(|| shortest_useful_mm(wire), StockLevel::useful_mm),
                    of_lots: vec![],
                    picks: vec![],
                });
                wires.len() - 1
            });
            let of = &mut wires[at];
            of.wanted_mm += length_mm * f64::from(*n);
            let id = named_apart(&pick.what, &of.demand);
            if let Some(lot) = wire.lot {
                of.of_lots.push(text!("picked-planned-for-lot-cut-from", id, lot_n = lot.lot_n));
            }
            let pair = matches!(&pick.piece, Piece::Finding(request) if request.in_pairs());
            of.demand.push(Demand { id, length_mm: *length_mm, ruler_mm: Some(*flush_mm), n: *n, pair });
            of.picks.push(i);
        }
    }
    Ok(wires)
}

/// How many of each picked thing are still to be made once these blanks are cut: rings, pieces, or pairs of what is
/// picked in pairs. A blank of a pair whose other half is not cut yet leaves the pair to be made.
///
/// # Errors
/// As [`by_wire`].
pub fn remaining(picked: &[Picked], cut: &[BlanksCut], workshop: &Workshop) -> Result<Vec<u32>, Faults> {
    // Of a chain of two wires the one that is cut least counts.
    let mut made_n: Vec<Option<u32>> = vec![None; picked.len()];
    for demands in by_wire(picked, &[], workshop)? {
        for (demand, pick) in demands.demand.iter().zip(&demands.picks) {
            let done: u32 = cut.iter().filter(|one| one.what == demand.id).map(|one| one.n).sum();
            let made = match &picked[*pick].piece {
                // Each coil gives its share of the rings; the last all that are left.
                Piece::Rings(request) if done < demand.n => {
                    done.saturating_mul(request.plan_in(workshop)?.rings_per_coil_n)
                }
                Piece::Rings(request) => request.rings_n,
                Piece::Finding(request) if request.in_pairs() => done / 2,
                Piece::Finding(_) => done,
                // A chain is begun with all its rings.
                Piece::Chain(request) if done >= demand.n => request.chains_n,
                Piece::Chain(_) => 0,
            };
            made_n[*pick] = Some(made_n[*pick].map_or(made, |so_far| so_far.min(made)));
        }
    }
    let left =
        picked.iter().zip(made_n).map(|(pick, made)| pick.piece.count().saturating_sub(made.unwrap_or(0)));
    Ok(left.collect())
}

/// A name that no other demand has: the plan's own, or that with a number.
fn named_apart(what: &str, demand: &[Demand]) -> String {
    let name: String = what.trim().chars().take(72).collect();
    let name = if name.is_empty() { "blank".to_owned() } else { name };
    let taken = |id: &str| demand.iter().any(|one| one.id == id);
    let numbered = (2..).map(|k| format!("{name} ({k})"));
    std::iter::once(name.clone()).chain(numbered).find(|id| !taken(id)).unwrap_or(name)
}
