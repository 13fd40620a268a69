//! What picked plans and findings want cut, wire by wire.

use serde::Serialize;

use super::Demand;
use crate::choose::Purpose;
use crate::fault::Faults;
use crate::length::{LengthUnit, shown};
use crate::pattern::blank::{TRIM, ruler_step_mm};
use crate::stock::buying::shortest_useful_mm;
use crate::stock::{same_wire, wire_shown};
use crate::wire::Wire;

/// A plan or finding that is to be made.
#[derive(Debug, Clone, PartialEq)]
pub struct Picked {
    /// What it is called.
    pub what: String,
    /// What is made, and how many.
    pub purpose: Purpose,
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

impl Picked {
    /// The wire it is made of.
    pub fn wire(&self) -> &Wire {
        match &self.purpose {
            Purpose::Rings(request) => &request.wire,
            Purpose::Finding(request) => &request.wire,
        }
    }

    /// Length of one blank rounded up to the maker's ruler, mm, and how many: a finding's blanks with
    /// their trims; of rings one length a coil, tails included.
    ///
    /// # Errors
    /// The faults of the plan or finding.
    pub fn blanks(&self, unit: LengthUnit) -> Result<(f64, u32), Faults> {
        match &self.purpose {
            Purpose::Finding(request) => Ok((request.form()?.blank(unit).cut_mm, request.blanks_n())),
            Purpose::Rings(request) => {
                let plan = request.plan()?;
                let step = ruler_step_mm(unit);
                // The last coil of several may have fewer rings; each is cut for a full one.
                let coil_mm = plan.wire_length_mm / f64::from(plan.coils_n);
                Ok(((coil_mm / step - 1e-9).ceil() * step, plan.coils_n))
            }
        }
    }

    /// The same in words: `24 blanks of 61.5 mm`.
    pub fn blanks_shown(&self, unit: LengthUnit) -> String {
        match self.blanks(unit) {
            Ok((length_mm, n)) => {
                let blanks = if n == 1 { "blank" } else { "blanks" };
                format!("{n} {blanks} of {} mm", shown(length_mm, 2))
            }
            Err(faults) => faults.to_string(),
        }
    }
}

/// Puts together what is wanted of each wire, in the order the wires first appear.
///
/// # Errors
/// The first plan or finding that cannot be made, its faults within `picked[i]`.
pub fn by_wire(picked: &[Picked], unit: LengthUnit) -> Result<Vec<WireDemand>, Faults> {
    let mut wires: Vec<WireDemand> = vec![];
    for (i, pick) in picked.iter().enumerate() {
        let (length_mm, n) = pick.blanks(unit).map_err(|Faults(found)| {
            Faults(found.into_iter().map(|fault| fault.within(&format!("picked[{i}]"))).collect())
        })?;
        let wire = pick.wire();
        let at = wires.iter().position(|one| same_wire(&one.wire, wire)).unwrap_or_else(|| {
            wires.push(WireDemand {
                wire: wire.clone(),
                shown: wire_shown(wire, unit),
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
