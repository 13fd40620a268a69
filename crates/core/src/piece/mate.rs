//! Whether one piece goes into another, and stays there.

use serde::Serialize;

use super::Piece;
use crate::fault::{Fault, Faults};
use crate::making::holds::Holds;
use crate::pattern::check::CLEARANCE_MM;
use crate::ring::RingRequest;
use crate::tool::workshop::Workshop;
use crate::wire::strength::load_told;
use crate::words::capital;
use crate::words::length::{LengthUnit, caliper, thickness};
use lorimant_text::text;

/// How one opening of the first piece takes the other.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Fit {
    /// Whether it goes in and stays.
    pub ok: bool,
    /// What was found, in a sentence.
    pub text: String,
}

/// A part of a piece that wire can pass through.
struct Hole {
    what: String,
    inside_mm: f64,
    mouth_mm: Option<f64>,
}

/// What matters of a piece for hanging it in another.
struct Hangs {
    holes: Vec<Hole>,
    wire_mm: f64,
}

impl Piece {
    fn hangs(&self) -> Result<Hangs, Faults> {
        match self {
            Self::Finding(request) => {
                let formed = request.form()?;
                let openings = formed.design.openings.iter().enumerate();
                let holes = openings
                    .map(|(i, opening)| Hole {
                        what: text!("mate-of-the", what = opening.what, name = request.kind.0.name),
                        inside_mm: opening.inside_mm,
                        mouth_mm: formed.mouth_mm(i),
                    })
                    .collect();
                Ok(Hangs { holes, wire_mm: request.wire.profile().thickness_mm() })
            }
            Self::Chain(request) => Self::Rings(RingRequest { rings_n: 1, ..request.ring.clone() }).hangs(),
            Self::Rings(request) => {
                let plan = request.plan()?;
                let hole = Hole {
                    what: text!("mate-ring").to_owned(),
                    inside_mm: plan.ring_inside_short_mm,
                    mouth_mm: None,
                };
                Ok(Hangs { holes: vec![hole], wire_mm: request.wire.profile().thickness_mm() })
            }
        }
    }
}

/// What of a piece can catch, and be caught by, others that lie loose with it.
struct Catches {
    mouths_mm: Vec<f64>,
    hangs: Hangs,
}

impl Piece {
    fn catches(&self) -> Result<Catches, Faults> {
        let mouths_mm = match self {
            Self::Finding(request) => request.form()?.mouths_mm(),
            Self::Rings(_) | Self::Chain(_) => vec![],
        };
        Ok(Catches { mouths_mm, hangs: self.hangs()? })
    }
}

/// Whether two pieces that lie loose together can hang themselves into each other: an open mouth takes the other's wire,
/// and the other has a hole, or a mouth, that the first one's wire passes.
///
/// ```
/// use lorimant_core::pattern::PatternRequest;
/// use lorimant_core::piece::Piece;
/// use lorimant_core::piece::mate::catch;
///
/// let piece = |kind: &str| Piece::Finding(PatternRequest::usual(kind.parse().unwrap()));
/// // Ear wires catch each other by their ear wires; plain head pins have nothing to catch by.
/// assert!(catch(&piece("open-ear-wire"), &piece("open-ear-wire")).unwrap());
/// assert!(!catch(&piece("plain-head-pin"), &piece("open-ear-wire")).unwrap());
/// ```
///
/// # Errors
/// The faults of either piece.
pub fn catch(one: &Piece, other: &Piece) -> Result<bool, Faults> {
    let (one, other) = (one.catches()?, other.catches()?);
    let into = |hook: &Catches, guest: &Catches| {
        let takes = hook.mouths_mm.iter().any(|mouth_mm| *mouth_mm > guest.hangs.wire_mm);
        let wire_mm = hook.hangs.wire_mm;
        let held = guest.hangs.holes.iter().any(|hole| hole.inside_mm > wire_mm)
            || guest.mouths_mm.iter().any(|mouth_mm| *mouth_mm > wire_mm);
        takes && held
    };
    Ok(into(&one, &other) || into(&other, &one))
}

/// How each opening of `first` takes the wire of `second`, and the other way round.
///
/// A closed loop takes wire that passes its bore with 0.1 mm to spare, once one of the two is opened.
/// An ear wire takes wire that passes its mouth; it holds by the pull alone unless its mouth is then
/// closed below the wire.
///
/// ```
/// use lorimant_core::ring::RingRequest;
/// use lorimant_core::tool::mandrel::Mandrel;
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::pattern::PatternRequest;
/// use lorimant_core::piece::Piece;
/// use lorimant_core::piece::mate::mate;
/// use lorimant_core::tool::workshop::Workshop;
///
/// let hook = Piece::Finding(PatternRequest::usual("hook-clasp".parse().unwrap()));
/// let ring = |size_mm| {
///     let wire = Wire::round(Metal::Copper, size_mm, Temper::Soft);
///     Piece::Rings(RingRequest::new(wire, Mandrel::round(6.0), 1))
/// };
/// let shop = Workshop::default();
/// assert!(mate(&hook, &ring(1.0), &shop).unwrap().iter().all(|fit| fit.ok));
/// assert!(!mate(&hook, &ring(4.0), &shop).unwrap().iter().all(|fit| fit.ok));
/// ```
///
/// # Errors
/// Faults of either piece, within `first` or `second`.
pub fn mate(first: &Piece, second: &Piece, workshop: &Workshop) -> Result<Vec<Fit>, Faults> {
    let unit = workshop.habits.unit;
    let a = first.hangs().map_err(|faults| faults.within("first"))?;
    let b = second.hangs().map_err(|faults| faults.within("second"))?;
    let mut fits = vec![];
    for (holder, guest) in [(&a, &b), (&b, &a)] {
        for hole in &holder.holes {
            fits.push(fit(hole, guest.wire_mm, guest, unit));
        }
    }
    fits.extend(gives_first(first, second, workshop));
    Ok(fits)
}

/// What one part of a set holds, as it is made by the workshop's methods.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct PartHolds {
    /// What it is called: `hook clasp`.
    pub name: &'static str,
    /// What it holds, in words; that it does not bear where it does not.
    pub text: String,
    /// What it holds; nothing of what does not bear.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub holds: Option<Holds>,
}

/// The parts of a set, pulled one after another: which gives first.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct SetStrength {
    /// The parts, the weakest first, what does not bear last.
    pub parts: Vec<PartHolds>,
    /// Which gives first, in a sentence.
    pub text: String,
}

/// Most parts of a set.
const MOST_PARTS: usize = 20;

/// Which part of a set gives first when it is pulled, each as it is made by the workshop's methods.
///
/// ```
/// use lorimant_core::pattern::PatternRequest;
/// use lorimant_core::piece::Piece;
/// use lorimant_core::piece::mate::weakest;
/// use lorimant_core::tool::workshop::Workshop;
///
/// let part = |kind: &str| Piece::Finding(PatternRequest::usual(kind.parse().unwrap()));
/// let set = weakest(&[part("hook-clasp"), part("figure-eight"), part("s-clasp")], &Workshop::default()).unwrap();
/// let load = |i: usize| set.parts[i].holds.unwrap().pulls_open_n;
/// assert!(load(0) <= load(1) && load(1) <= load(2));
/// assert!(set.text.contains(set.parts[0].name));
/// ```
///
/// # Errors
/// A fault at `parts` for fewer than two or more than twenty; the faults of a part, within `parts[i]`.
pub fn weakest(parts: &[Piece], workshop: &Workshop) -> Result<SetStrength, Faults> {
    if !(2..=MOST_PARTS).contains(&parts.len()) {
        let message = text!("mate-set-cannot-be-compared-enter", parts = parts.len(), MOST_PARTS);
        return Err(Fault::new("parts", message).limit(20.0).into());
    }
    let mut held = vec![];
    for (i, piece) in parts.iter().enumerate() {
        let finished = piece.finished(workshop);
        let holds = finished.map_err(|faults| faults.within(&format!("parts[{i}]")))?.holds;
        let text = holds.map_or(text!("mate-has-nothing-that-opens").to_owned(), |holds| holds.told());
        held.push(PartHolds { name: piece.called(), text, holds });
    }
    let load = |part: &PartHolds| part.holds.map_or(f64::INFINITY, |holds| holds.pulls_open_n);
    held.sort_by(|a, b| load(a).total_cmp(&load(b)));
    let sentence = match held.as_slice() {
        [weak, next, ..] if weak.holds.is_some() => {
            let others = next.holds.map_or(String::new(), |holds| {
                text!("mate-pulls-open-at", called = next.name, comes_off_n = load_told(holds.pulls_open_n))
            });
            text!("mate-pulled-apart-gives-way-first", called = weak.name, text = weak.text, others)
        }
        _ => text!("mate-nothing-in-this-set-opens").to_owned(),
    };
    Ok(SetStrength { parts: held, text: sentence })
}

/// Which of two gives first when they are pulled apart.
fn gives_first(first: &Piece, second: &Piece, workshop: &Workshop) -> Option<Fit> {
    let set = weakest(&[first.clone(), second.clone()], workshop).ok()?;
    let both = set.parts.iter().all(|part| part.holds.is_some());
    both.then_some(Fit { ok: true, text: set.text })
}

fn fit(hole: &Hole, wire_mm: f64, guest: &Hangs, unit: LengthUnit) -> Fit {
    let what = capital(&hole.what);
    let wire = thickness(wire_mm, unit);
    let inside = caliper(hole.inside_mm, unit);
    if wire_mm + CLEARANCE_MM > hole.inside_mm {
        let text = text!("mate-wire-does-not-fit-through", what = hole.what, wire, inside);
        return Fit { ok: false, text };
    }
    match hole.mouth_mm {
        Some(mouth) if mouth < wire_mm + CLEARANCE_MM => {
            let text = text!("mate-its-mouth-too-narrow-for", what, mouth = caliper(mouth, unit), wire);
            Fit { ok: false, text }
        }
        Some(mouth) => {
            let text = text!("mate-wire-goes-in-through-mouth", what, wire, mouth = caliper(mouth, unit));
            Fit { ok: true, text }
        }
        None => {
            let open = if guest.holes.iter().any(|hole| hole.mouth_mm.is_some()) {
                ""
            } else {
                text!("mate-once-one-two-opened-sideways")
            };
            let text = text!(
                "mate-wire-fits-its-inside-with",
                what,
                wire,
                inside,
                inside_mm = caliper(hole.inside_mm - wire_mm, unit),
                open
            );
            Fit { ok: true, text }
        }
    }
}
