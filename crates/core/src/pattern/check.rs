//! Checks of a finished shape: what closes, what collides, what fits.

use glam::DVec3;
use serde::Serialize;

use super::design::{Closure, DesignCheck};
use super::finished::FinishedFinding;
use super::form::FormedPiece;
use super::{Family, Worn};
use crate::figure::Level;
use crate::making::operations::{Anneal, never_melted};
use crate::shape::contact::{apart_mm, segments_apart, through_itself};
use crate::tool::gear::Gear;
use crate::tool::workshop::Workshop;
use crate::wire::metal::{Balls, Nickel};
use crate::wire::strength::strain_level;
use crate::words::capital;
use crate::words::length::{LengthUnit, caliper, caliper_number, on_ruler, shown, thickness};
use crate::words::words;
use lorimant_text::text;

words! {
    /// What a check is about.
    pub enum About ("about") {
        /// Does an end face land where it should?
        Closes = "closes";
        /// Does wire run through wire?
        Through = "wire-through-wire";
        /// Does what it takes go through its mouth?
        Mouth = "mouth";
        /// Does the bore take the cord?
        Bore = "bore";
        /// Is the wire of a size for piercings?
        Piercing = "piercing";
        /// Is the metal one for skin?
        Skin = "skin";
        /// Is there stem enough?
        Stem = "stem";
        /// Would the tip catch or work out?
        Tip = "tip";
        /// Can this metal be melted to a ball?
        Melts = "melts";
        /// Does the wire bear its bends?
        Strain = "strain";
    }
}

/// One check with its finding.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Check {
    /// What it is about.
    pub about: About,
    /// Whether it is well; where not, `level` says how pressing it is.
    pub ok: bool,
    /// How much attention it asks for.
    pub level: Level,
    /// What was found, in a sentence.
    pub text: String,
    /// The segment it is about, by its place along the wire.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub segment_n: Option<usize>,
}

fn check(about: About, level: Option<Level>, text: String, segment_n: Option<usize>) -> Check {
    Check { about, ok: level.is_none(), level: level.unwrap_or(Level::Note), text, segment_n }
}

/// Where an end face lands.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Landing {
    /// What is left open, mm; negative where the end runs into the wire.
    pub gap_mm: f64,
    /// How far along the segment it lands on, mm from where that meets the loop.
    pub along_mm: f64,
}

/// Wire that usual piercings take, mm.
pub const PIERCING_MM: (f64, f64) = (0.6, 0.95);

/// The span of wire that usual piercings take, in words: `0.6 to 0.95 mm`.
pub fn piercings_take(unit: LengthUnit) -> String {
    text!(
        "pattern-check-to",
        piercing_mm = caliper_number(PIERCING_MM.0, unit),
        piercing_mm2 = caliper(PIERCING_MM.1, unit)
    )
}

/// Clearance a ring needs to pass a mouth, mm.
pub const CLEARANCE_MM: f64 = 0.1;
/// Shortest straight stem that a bead and a second loop can use, mm.
const LEAST_STEM_MM: f64 = 12.0;

impl FormedPiece<'_> {
    /// Where an end face lands: the distance of its nearer corner from the other wire's surface.
    pub fn landing(&self, closure: &Closure) -> Option<Landing> {
        let half = self.design.profile.thickness_mm() / 2.0;
        let first = self.path.placed.first()?;
        let (end, axes) = if closure.far_end {
            (self.path.end.at, self.path.end.axes)
        } else {
            (first.start.at, first.start.axes)
        };
        let Some(on) = closure.on else {
            // Face to face with the wire's own other end.
            let other = if closure.far_end { first.start.at } else { self.path.end.at };
            return Some(Landing { gap_mm: end.distance(other), along_mm: 0.0 });
        };
        let placed = self.path.placed.get(on)?;
        let segments = &self.design.segments;
        let ends = if closure.far_end { segments.last() } else { segments.first() };
        let face = ends?.bent_profile(self.design.profile).thickness_mm() / 2.0;
        let corners = [axes.y_axis, -axes.y_axis, axes.z_axis, -axes.z_axis].map(|side| end + side * face);
        let mut best = Landing { gap_mm: f64::INFINITY, along_mm: 0.0 };
        let n = 720_u32;
        let mut last: DVec3 = placed.at(0.0).0;
        for i in 1..=n {
            let u = f64::from(i) / f64::from(n);
            let here = placed.at(u).0;
            let reach = best.gap_mm + half + here.distance(last);
            for corner in corners.into_iter().filter(|corner| corner.distance_squared(here) < reach * reach) {
                let gap = segments_apart(corner, corner, last, here) - half;
                if gap < best.gap_mm {
                    let share = if closure.far_end { 1.0 - u } else { u };
                    best = Landing { gap_mm: gap, along_mm: share * placed.length_mm };
                }
            }
            last = here;
        }
        Some(best)
    }

    /// Every check of its shape, the pressing ones first.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// assert!(hook.form().unwrap().checks(&Workshop::default()).iter().all(|check| check.ok));
    /// ```
    pub fn checks(&self, workshop: &Workshop) -> Vec<Check> {
        let unit = workshop.habits.unit;
        let mut found = vec![];
        for closure in &self.design.closures {
            found.extend(self.closes(closure, unit));
        }
        self.collisions(&mut found, unit);
        for asks in &self.design.asks {
            found.extend(self.asked(asks, unit));
        }
        self.worn(&mut found, unit);
        pressing_first(&mut found);
        found
    }

    fn closes(&self, closure: &Closure, unit: LengthUnit) -> Option<Check> {
        let landing = self.landing(closure)?;
        let closed = landing.gap_mm.abs() <= 0.01;
        let what = closure.what;
        let sentence = match (closed, closure.on) {
            (true, None) => text!("pattern-check-closes-end-end", what),
            (true, Some(on)) => {
                let on = self.design.segments.get(on).map_or(text!("segment-wire"), |segment| segment.what);
                text!(
                    "pattern-check-closes-its-end-meets-along",
                    what,
                    on,
                    along_mm = caliper(landing.along_mm, unit)
                )
            }
            (false, _) => text!("pattern-check-stays-open-by", what, gap_mm = caliper(landing.gap_mm, unit)),
        };
        Some(check(About::Closes, (!closed).then_some(Level::Watch), sentence, None))
    }

    fn collisions(&self, found: &mut Vec<Check>, unit: LengthUnit) {
        // Ends that close face to face touch, as they should.
        let last = self.design.segments.len().saturating_sub(1);
        let ring = self.design.closures.iter().any(|closure| closure.on.is_none());
        let pressed = |a: usize, b: usize| {
            if ring && a == 0 && b == last {
                return true;
            }
            self.design.pressed.iter().any(|(x, y)| (*x == a && *y == b) || (*x == b && *y == a))
        };
        let name =
            |i: usize| self.design.segments.get(i).map_or(text!("segment-wire"), |segment| segment.what);
        let mut any = false;
        for through in through_itself(&self.path) {
            if pressed(through.first, through.second) {
                continue;
            }
            any = true;
            let (a, b) = (name(through.first), name(through.second));
            let whose = if a == b {
                text!("pattern-check-runs-through-itself", a)
            } else {
                text!("pattern-check-runs-through", a, b)
            };
            let sentence = text!(
                "pattern-check-apart-but-wire-thick-give",
                whose,
                apart_mm = caliper(through.apart_mm, unit),
                profile = thickness(self.design.profile.thickness_mm(), unit)
            );
            found.push(check(About::Through, Some(Level::Stop), sentence, Some(through.second)));
        }
        if !any {
            found.push(check(
                About::Through,
                None,
                text!("pattern-check-wire-touches-itself-nowhere").to_owned(),
                None,
            ));
        }
    }

    /// Width of an opening's mouth, mm; none where it is closed.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    ///
    /// let hook = PatternRequest::usual("hook-clasp".parse().unwrap());
    /// let formed = hook.form().unwrap();
    /// let open = (0..formed.design.openings.len()).filter_map(|i| formed.mouth_mm(i)).count();
    /// assert_eq!(open, 1, "the hook has a mouth, its eye has none");
    /// ```
    pub fn mouth_mm(&self, opening: usize) -> Option<f64> {
        let (a, b) = self.design.openings.get(opening)?.mouth?;
        Some(apart_mm(&self.path, a, b) - self.design.profile.thickness_mm())
    }

    /// Mouths that wire can slip into: those of its openings; of an ear wire, whose tip is free, what lies between its last
    /// stretch and the nearest that is not its neighbour, mm.
    #[must_use]
    pub fn mouths_mm(&self) -> Vec<f64> {
        let mut mouths: Vec<f64> = (0..self.design.openings.len()).filter_map(|i| self.mouth_mm(i)).collect();
        let last = self.wire_mm.len().saturating_sub(1);
        if self.request.kind.0.family == Family::EarWires && last > 2 {
            let nearest = (0..last - 2).map(|i| apart_mm(&self.path, i, last)).fold(f64::INFINITY, f64::min);
            mouths.push(nearest - self.design.profile.thickness_mm());
        }
        mouths
    }

    fn asked(&self, asks: &DesignCheck, unit: LengthUnit) -> Option<Check> {
        Some(match *asks {
            DesignCheck::Takes { opening, ring_mm } => self.takes(opening, ring_mm, unit)?,
            DesignCheck::Stem { segment } => {
                let length = self.wire_mm.get(segment).copied()?;
                let short = length < LEAST_STEM_MM;
                let left = on_ruler(length, unit);
                let sentence = if short {
                    text!("pattern-check-only-stem-left-too-short", left)
                } else {
                    text!("pattern-check-straight-stem-use", left)
                };
                check(About::Stem, short.then_some(Level::Watch), sentence, Some(segment))
            }
            DesignCheck::Bore { bore_mm, cord_mm } => {
                let play = bore_mm - cord_mm;
                let (level, sentence) = if play > 0.6 {
                    (
                        Some(Level::Watch),
                        text!("pattern-check-bore-wider-than-cord-so", play = caliper(play, unit)),
                    )
                } else {
                    (
                        None,
                        text!(
                            "pattern-check-cord-has-play",
                            cord_mm = caliper(cord_mm, unit),
                            play = caliper(play, unit)
                        ),
                    )
                };
                check(About::Bore, level, sentence, Some(0))
            }
            DesignCheck::Tip { kick_deg } => {
                let plain = kick_deg <= 0.0;
                let sentence = if plain {
                    text!("pattern-check-tip-not-bent-out-ear").to_owned()
                } else {
                    text!("pattern-check-tip-points-out-by-stays", kick_deg = shown(kick_deg, 0))
                };
                check(About::Tip, plain.then_some(Level::Watch), sentence, None)
            }
            DesignCheck::Melts => self.melts(),
        })
    }

    fn takes(&self, opening: usize, ring_mm: f64, unit: LengthUnit) -> Option<Check> {
        let mouth = self.mouth_mm(opening)?;
        let what = self.design.openings.get(opening)?;
        let (mouth_shown, ring) = (caliper(mouth, unit), thickness(ring_mm, unit));
        let (level, sentence) = if mouth < ring_mm + CLEARANCE_MM {
            let message = text!("pattern-check-s-mouth-too-narrow-for", what = what.what, mouth_shown, ring);
            (Some(Level::Watch), message)
        } else if mouth > 4.0 * ring_mm {
            let message = text!("pattern-check-s-mouth-wide-for-ring", what = what.what, mouth_shown, ring);
            (Some(Level::Watch), message)
        } else {
            let message =
                text!("pattern-check-ring-wire-fits-its-mouth", ring, what = what.what, mouth_shown);
            (None, message)
        };
        Some(check(About::Mouth, level, sentence, what.mouth.map(|mouth| mouth.0)))
    }

    fn melts(&self) -> Check {
        let metal = self.request.wire.metal;
        let name = capital(metal.shown());
        let (level, sentence) = match metal.figures().balls {
            Balls::Bright => (None, text!("pattern-check-draws-up-bright-ball", name)),
            Balls::Blackens => (None, text!("pattern-check-draws-up-ball-blackens-needs", name)),
            Balls::Never => (
                Some(Level::Stop),
                text!("pattern-check-choose-another-metal-or-another", metal = never_melted(metal)),
            ),
            Balls::Badly => (Some(Level::Watch), text!("pattern-check-does-not-ball-well-at", name)),
        };
        check(About::Melts, level, sentence, Some(0))
    }

    fn worn(&self, found: &mut Vec<Check>, unit: LengthUnit) {
        let (pattern, wire) = (self.request.kind.0, &self.request.wire);
        if pattern.family == Family::EarWires {
            let take = piercings_take(unit);
            let size = thickness(wire.size_mm, unit);
            let (level, sentence) = if wire.size_mm < PIERCING_MM.0 {
                (Some(Level::Watch), text!("pattern-check-thin-for-ear-can-cut", size, take))
            } else if wire.size_mm > PIERCING_MM.1 {
                (Some(Level::Watch), text!("pattern-check-thicker-than-usual-piercings-take", size, take))
            } else {
                (None, text!("pattern-check-fits-usual-piercings", size, take))
            };
            found.push(check(About::Piercing, level, sentence, None));
        }
        let name = capital(wire.metal.shown());
        let figures = wire.metal.figures();
        let skin = match (pattern.worn, figures) {
            (Worn::Between, _) => return,
            (_, f) if f.nickel == Nickel::Contained => {
                (Level::Stop, text!("pattern-check-contains-nickel-not-in-ear", name))
            }
            (Worn::Ear, f) if f.stains => {
                (Level::Watch, text!("pattern-check-many-wear-in-ear-others", name))
            }
            (Worn::Ear, f) if f.nickel == Nickel::Bound => {
                (Level::Watch, text!("pattern-check-contains-bound-nickel-ask-wearer", name))
            }
            (Worn::Ear, f) if f.rusts || f.fatigues => {
                (Level::Stop, text!("pattern-check-does-not-belong-in-ear", name))
            }
            _ => return,
        };
        found.push(check(About::Skin, Some(skin.0), skin.1, None));
    }
}

impl FinishedFinding<'_> {
    /// Every check of the piece, the pressing ones first: of its shape, and of what its making asks of the metal.
    #[must_use]
    pub fn checks(&self, workshop: &Workshop) -> Vec<Check> {
        let mut found = self.formed.checks(workshop);
        self.strained(&mut found, &workshop.gear);
        pressing_first(&mut found);
        found
    }

    fn strained(&self, found: &mut Vec<Check>, gear: &Gear) {
        let advice = Anneal::advice(&self.formed.request.wire, gear);
        let Some((worst, share)) = self.tightest() else { return };
        let name =
            self.formed.design.segments.get(worst).map_or(text!("segment-wire"), |segment| segment.what);
        let percent = shown(100.0 * share, 0);
        let level = strain_level(share);
        let sentence = match level {
            Some(Level::Stop) => {
                text!("pattern-check-will-probably-crack-needs-stretch", name, percent, advice)
            }
            Some(_) => text!("pattern-check-close-cracking-uses-stretch-metal", name, percent, advice),
            None => text!("pattern-check-tightest-bend-uses-stretch-metal", name, percent),
        };
        found.push(check(About::Strain, level, sentence, Some(worst)));
    }
}

fn pressing_first(found: &mut [Check]) {
    found.sort_by_key(|check| std::cmp::Reverse((!check.ok, check.level)));
}
