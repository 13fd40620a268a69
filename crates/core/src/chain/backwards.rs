//! Backwards: from a weave and a wire to the ring and the rod; from rings there are to what they give; from a length and a
//! look to wire and rod.

use serde::{Deserialize, Serialize};

use super::placing::Building;
use super::plan::counted;
use super::sentence::length_told;
use super::weave::Weave;
use super::weaves::{self, Known};
use super::{ChainRequest, RingSize, Suits, Taut};
use crate::fault::{Faults, Span};
use crate::tool::mandrel::{Mandrel, Shape};
use crate::tool::workshop::Workshop;
use crate::wire::sizes_sold;
use crate::words::length::{LengthUnit, caliper, shown};
use lorimant_text::{Text, fixed, text};

/// A weave at a ratio: its place on the scale from *cannot* to *floppy*.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct OnScale {
    /// The weave's word.
    pub weave: String,
    /// Its name.
    pub label: String,
    /// The smallest ratio at which rings go into each other.
    pub smallest_ratio: f64,
    /// What makers usually take, about.
    pub usual_ratio: [f64; 2],
    /// Above this it is floppy.
    pub floppy_ratio: f64,
    /// How the ratio asked about suits.
    pub suits: Suits,
    /// From a cell to the next at that ratio, mm; nothing where the rings do not go into each other.
    pub repeat_mm: f64,
    /// The same in a sentence.
    pub text: String,
    /// Whether it is the weave of the plan.
    pub chosen: bool,
    /// The plan in this weave.
    pub request: ChainRequest,
}

/// A rod of the workshop, and the chain its rings give.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct RodFor {
    /// Its name as the sentence has it.
    pub label: String,
    /// The rod.
    pub mandrel: Mandrel,
    /// Inside of the ring it gives, mm.
    pub inside_mm: f64,
    /// Ratio of inside to wire.
    pub ratio: f64,
    /// How that suits.
    pub suits: Suits,
    /// Rings for the length of the plan; nothing where they do not go into each other.
    pub rings_n: u32,
    /// How long the chain is then, mm.
    pub chain_length_mm: f64,
    /// Its mass, g.
    pub mass_g: f64,
    /// The same in a sentence.
    pub text: String,
    /// Whether it is the rod of the plan.
    pub chosen: bool,
    /// The plan on this rod.
    pub request: ChainRequest,
}

/// A wire and rod that give the look and length asked for.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct WireAndRod {
    /// The wire's size in words.
    pub wire: String,
    /// The rod's name.
    pub rod: String,
    /// How far across the chain is, mm.
    pub across_mm: f64,
    /// Ratio of inside to wire.
    pub ratio: f64,
    /// The same in a sentence.
    pub text: String,
    /// The plan in that wire, on that rod.
    pub request: ChainRequest,
}

/// Everything a plan is worth looked at the other way round.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Backwards {
    /// Ratio of inside to wire of the plan's rings.
    pub ratio: f64,
    /// The ratio at which this weave is at its best: the middle of what is usual.
    pub best_ratio: f64,
    /// The ring that is, in the wire of the plan, inside, mm.
    pub best_inside_mm: f64,
    /// The same in a sentence.
    pub best_text: String,
    /// The workshop's round rods, the best suited first.
    pub rods: Vec<RodFor>,
    /// Wires and rods for the thickness of chain asked for; nothing where none was.
    pub wires: Vec<WireAndRod>,
}

/// Rings there are.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct RingsThere {
    /// Inside diameter, mm: 0.1 to 300.
    pub inside_mm: f64,
    /// Thickness of their wire, mm: 0.1 to 20.
    pub wire_mm: f64,
    /// How many there are, 1 to 100 000.
    pub rings_n: u32,
}

/// What rings there are give in one weave.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Gives {
    /// The weave's word.
    pub weave: String,
    /// Its name.
    pub label: String,
    /// How the ratio suits.
    pub suits: Suits,
    /// Whole cells they make.
    pub cells_n: u32,
    /// How long that is, mm.
    pub length_mm: f64,
    /// Rings left over.
    pub left_n: u32,
    /// Of those used, shut beforehand.
    pub pre_closed_n: u32,
    /// The same in a sentence.
    pub text: String,
}

impl Suits {
    /// The better suited first.
    fn rank(self) -> u8 {
        match self {
            Self::Usual => 0,
            Self::Stiff | Self::Loose => 1,
            Self::Floppy => 2,
            Self::Cannot => 3,
        }
    }
}

/// Every weave of the trade at the ratio of a plan.
///
/// # Errors
/// The faults of the plan's rings.
pub fn scale(request: &ChainRequest) -> Result<Vec<OnScale>, Faults> {
    let mine = request.taut()?;
    let wire = request.ring.wire.size_mm;
    let size = RingSize { inside_mm: mine.ratio * wire, wire_mm: wire };
    let on = |known: &Known| {
        let taut = Taut::of(&known.weave, &[size])?;
        Ok(OnScale {
            weave: known.word.to_owned(),
            label: known.weave.name.clone(),
            smallest_ratio: taut.smallest_ratio,
            usual_ratio: taut.usual,
            floppy_ratio: taut.floppy_ratio(),
            suits: taut.suits,
            repeat_mm: taut.repeat_mm,
            text: told(&known.weave, &taut),
            chosen: request.own_weave.is_none() && request.weave == known.word,
            request: request.in_weave(known),
        })
    };
    weaves::all().iter().map(on).collect()
}

fn told(weave: &Weave, taut: &Taut) -> String {
    if taut.fits() {
        text!(
            "backwards-at-at-least-usually",
            name = weave.name,
            suits = taut.suits.shown(),
            ratio = fixed(taut.ratio, 2),
            smallest_ratio = fixed(taut.smallest_ratio, 2),
            usual = shown(taut.usual[0], 1),
            usual2 = shown(taut.usual[1], 1)
        )
    } else {
        text!(
            "backwards-not-possible-at-needs-at",
            name = weave.name,
            ratio = fixed(taut.ratio, 2),
            smallest_ratio = fixed(taut.smallest_ratio, 2)
        )
    }
}

impl ChainRequest {
    /// The same plan looked at the other way round: the ring this weave is at its best with in this wire, which of the
    /// workshop's rods gives it, and, for a chain so far across, which wires and rods.
    ///
    /// ```
    /// use lorimant_core::chain::ChainRequest;
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let chain = ChainRequest::new("byzantine", RingRequest::new(wire, Mandrel::round(5.0), 1), 180.0);
    /// let rods = vec![Mandrel::round(2.5), Mandrel::round(3.8), Mandrel::round(6.0)];
    /// let backwards = chain.backwards(None, &Workshop { rods, ..Workshop::default() }).unwrap();
    /// // The best of the three is the middle one; the thinnest cannot be.
    /// assert_eq!(backwards.rods[0].mandrel.diameter_mm, 3.8);
    /// assert_eq!(backwards.rods[2].rings_n, 0);
    /// ```
    ///
    /// # Errors
    /// The faults of the plan's rings and weave.
    pub fn backwards(&self, across_mm: Option<f64>, workshop: &Workshop) -> Result<Backwards, Faults> {
        let unit = workshop.habits.unit;
        let taut = self.taut()?;
        let weave = self.design()?;
        let best_ratio = taut.best_ratio();
        let best_inside_mm = best_ratio * self.ring.wire.size_mm;
        let mut rods: Vec<RodFor> = workshop
            .rods
            .iter()
            .filter(|rod| rod.shape == Shape::Round)
            .filter_map(|rod| self.on_rod(rod, weave, unit))
            .collect();
        rods.sort_by(|a, b| {
            let off = |rod: &RodFor| (rod.ratio - best_ratio).abs();
            (a.suits.rank(), off(a))
                .partial_cmp(&(b.suits.rank(), off(b)))
                .unwrap_or(std::cmp::Ordering::Equal)
        });
        let wires = match across_mm {
            Some(across) => self.wires_for(across, workshop),
            None => vec![],
        };
        Ok(Backwards {
            ratio: taut.ratio,
            best_ratio,
            best_inside_mm,
            best_text: text!(
                "backwards-at-its-best-around-in",
                name = weave.name,
                best_ratio = shown(best_ratio, 2),
                wire = self.ring.wire.size_shown(unit),
                best_inside_mm = caliper(best_inside_mm, unit)
            ),
            rods,
            wires,
        })
    }

    fn on_rod(&self, rod: &Mandrel, weave: &Weave, unit: LengthUnit) -> Option<RodFor> {
        let mut request = self.clone();
        request.ring.mandrel = rod.clone();
        request.ring.wish.inside_mm = None;
        // Rings of two sizes are worked out only where they are asked for.
        if !request.is_at_hand() {
            return None;
        }
        let taut = request.taut().ok()?;
        let plan = request.plan().ok();
        let (rings_n, chain_length_mm, mass_g) =
            plan.as_ref().map_or((0, 0.0, 0.0), |plan| (plan.rings_n, plan.finished_length_mm, plan.mass_g));
        let text = match &plan {
            Some(plan) => text!(
                "backwards-ratio-rings-g",
                ratio = fixed(taut.ratio, 2),
                suits = taut.suits.shown(),
                rings_n = plan.rings_n,
                finished_length_mm = length_told(plan.finished_length_mm, unit),
                mass_g = shown(plan.mass_g, 1)
            ),
            None if !taut.fits() => {
                text!(
                    "backwards-ratio-not-possible-needs",
                    ratio = fixed(taut.ratio, 2),
                    name = weave.name,
                    smallest_ratio = fixed(taut.smallest_ratio, 2)
                )
            }
            None => text!("backwards-ratio", ratio = fixed(taut.ratio, 2), suits = taut.suits.shown()),
        };
        Some(RodFor {
            label: rod.shown_in(unit),
            mandrel: rod.clone(),
            inside_mm: taut.ratio * self.ring.wire.size_mm,
            ratio: taut.ratio,
            suits: taut.suits,
            rings_n,
            chain_length_mm,
            mass_g,
            text,
            chosen: *rod == self.ring.mandrel,
            request,
        })
    }

    /// Wires, in the sizes the workshop buys, that give a chain so far across at its best, each with the rod that
    /// comes nearest.
    fn wires_for(&self, across_mm: f64, workshop: &Workshop) -> Vec<WireAndRod> {
        let unit = workshop.habits.unit;
        let mut found: Vec<(f64, WireAndRod)> = vec![];
        for size_mm in sizes_sold(workshop.habits) {
            let mut request = self.clone();
            request.ring.wire.size_mm = size_mm;
            let Ok(back) = request.backwards(None, workshop) else { continue };
            let Some(rod) = back.rods.into_iter().find(|rod| rod.suits == Suits::Usual) else { continue };
            let Ok(plan) = rod.request.plan() else { continue };
            let across = plan.across_mm[0].max(plan.across_mm[1]);
            let text = text!(
                "backwards-across-wire-on-ratio-rings",
                across = caliper(across, unit),
                wire = rod.request.ring.wire.size_shown(unit),
                shown = rod.label,
                ratio = fixed(rod.ratio, 2),
                rings_n = plan.rings_n,
                mass_g = shown(plan.mass_g, 1)
            );
            let wire = rod.request.ring.wire.size_shown(unit);
            let one = WireAndRod {
                wire,
                rod: rod.label,
                across_mm: across,
                ratio: rod.ratio,
                text,
                request: rod.request,
            };
            found.push(((across - across_mm).abs(), one));
        }
        found.sort_by(|a, b| a.0.total_cmp(&b.0));
        found.into_iter().take(5).map(|(_, one)| one).collect()
    }
}

impl RingsThere {
    /// What they give in every weave of the trade but sheets, the longest of those that suit first, in the unit read first.
    ///
    /// ```
    /// use lorimant_core::chain::backwards::RingsThere;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let bag = RingsThere { inside_mm: 5.0, wire_mm: 1.2, rings_n: 300 };
    /// let gives = bag.gives(LengthUnit::Mm).unwrap();
    /// let byzantine = gives.iter().find(|one| one.weave == "byzantine").unwrap();
    /// assert_eq!((byzantine.cells_n, byzantine.left_n), (50, 0));
    /// ```
    ///
    /// # Errors
    /// A fault at each number that cannot be.
    pub fn gives(&self, unit: LengthUnit) -> Result<Vec<Gives>, Faults> {
        let mut faults = Faults::none();
        let inside =
            Span { noun: Text::named("backwards-inside-diameter"), unit: " mm", least: 0.1, most: 300.0 };
        faults.keep(inside.check("inside_mm", self.inside_mm));
        let wire = Span { noun: Text::named("backwards-wire"), unit: " mm", least: 0.1, most: 20.0 };
        faults.keep(wire.check("wire_mm", self.wire_mm));
        let rings = Span {
            noun: Text::named("backwards-number-rings"),
            unit: "",
            least: 1.0,
            most: f64::from(super::MOST_RINGS),
        };
        faults.keep(rings.check("rings_n", f64::from(self.rings_n)));
        faults.into_result()?;
        let size = RingSize { inside_mm: self.inside_mm, wire_mm: self.wire_mm };
        let mut gives: Vec<Gives> = vec![];
        for known in weaves::all().iter().filter(|known| !known.weave.is_sheet()) {
            let taut = Taut::of(&known.weave, &[size])?;
            let k = u32::try_from(known.weave.rings_n()).unwrap_or(1);
            let cells_n = if taut.fits() { self.rings_n / k } else { 0 };
            let length_mm = f64::from(cells_n) * taut.repeat_mm;
            let counted = counted(&known.weave, &taut, length_mm.max(taut.repeat_mm), 1).ok();
            let building = counted.and_then(|all| Building::of(&known.weave, all.cells_n, 1).ok());
            let pre_closed_n = building.filter(|_| cells_n > 0).map_or(0, |building| building.shut_n());
            let left_n = self.rings_n - cells_n * k;
            let text = if taut.fits() {
                text!(
                    "backwards-from-rings",
                    name = known.weave.name,
                    length_mm = length_told((length_mm * 10.0).round() / 10.0, unit),
                    cells_n = cells_n * k,
                    value = if left_n > 0 { text!("backwards-over", left_n) } else { String::new() },
                    suits = taut.suits.shown()
                )
            } else {
                told(&known.weave, &taut)
            };
            gives.push(Gives {
                weave: known.word.to_owned(),
                label: known.weave.name.clone(),
                suits: taut.suits,
                cells_n,
                length_mm,
                left_n,
                pre_closed_n,
                text,
            });
        }
        gives.sort_by(|a, b| a.suits.rank().cmp(&b.suits.rank()).then(b.length_mm.total_cmp(&a.length_mm)));
        Ok(gives)
    }
}
