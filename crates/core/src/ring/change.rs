//! Changing one word of a ring plan's sentence: by choice, by typing, by a nudge.

use super::backwards::RingTarget;
use super::sentence::{Slot, field_of};
use super::supply::Supply;
use super::{RingPlan, RingRequest, Winding, Wish};
use crate::fault::{Fault, Faults};
use crate::reading::{self, Word};
use crate::tool::cutting::{Blade, Cutting, LEAST_TEETH, Method};
use crate::tool::mandrel::{Mandrel, Shape};
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::lot::LotFactor;
use crate::wire::metal::{Metal, Temper};
use crate::wire::section::Section;
use crate::wire::strength::{CRACK_STRAIN, load_told};
use crate::words::length::{self, LengthUnit, caliper, thickness};
use crate::words::sentence::{Change, Choice, next};
use crate::words::{self, number, quoted};
use lorimant_text::{fixed, text};

impl RingRequest {
    /// The request with one word changed. The result may still have faults that planning finds.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::ring::sentence::Slot;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::words::sentence::Change;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let request = RingRequest::new(wire, Mandrel::round(5.0), 100);
    /// let shop = Workshop::default();
    /// let harder = request.changed(Slot::Temper, &Change::Typed("half-hard".into()), &shop).unwrap();
    /// assert_eq!(harder.wire.temper, Temper::HalfHard);
    /// let one_more = request.changed(Slot::Rings, &Change::Nudge(1), &shop).unwrap();
    /// assert_eq!(one_more.rings_n, 101);
    /// ```
    ///
    /// # Errors
    /// A fault at the word's field when what was typed cannot be read there, or no rod gives the
    /// ring typed.
    pub fn changed(&self, slot: Slot, change: &Change, workshop: &Workshop) -> Result<Self, Faults> {
        let changed = match change {
            Change::Typed(text) => self.typed(slot, text, workshop),
            Change::Nudge(steps) => self.nudged(slot, *steps, workshop),
            Change::Pulled(_) => {
                let message = text!("ring-change-ring-plan-has-no-dimension");
                Err(Fault::new(field_of(slot), message).into())
            }
        }?;
        Ok(changed.keeping_its_lot(self).recounted(workshop))
    }

    /// The same with what the workshop knows of its lot by now.
    #[must_use]
    pub fn known(mut self, workshop: &Workshop) -> Self {
        workshop.knows(&mut self.wire);
        self
    }

    /// Another wire is not of the lot that was named.
    fn keeping_its_lot(mut self, before: &Self) -> Self {
        if !self.wire.stands_for(&before.wire) {
            self.wire.lot = None;
        }
        self
    }

    fn typed(&self, slot: Slot, text: &str, workshop: &Workshop) -> Result<Self, Faults> {
        let mut changed = self.clone();
        let field = field_of(slot);
        let read =
            |text: &str| length::read(text, workshop.habits).map_err(|message| Fault::new(field, message));
        match slot {
            Slot::Rings => match read_count(text) {
                Ok(rings_n) => {
                    (changed.rings_n, changed.wish.supply) = (rings_n, None);
                }
                // `3 m`: as many as that gives.
                Err(fault) => match Supply::read(text, workshop.habits) {
                    Ok(supply) if !text.trim().ends_with(|c: char| c.is_ascii_digit()) => {
                        supply.makes(self, workshop)?;
                        changed.wish.supply = Some(supply);
                    }
                    _ => return Err(fault.into()),
                },
            },
            Slot::Size => {
                let read = length::read_size(text, workshop.habits);
                changed.wire.size_mm = read.map_err(|message| Fault::new(field, message))?.mm;
            }
            Slot::Inside => return self.giving(read(text)?.mm, workshop),
            Slot::Making => return Err(unknown(slot, text).into()),
            Slot::Lot => changed.wire.lot = LotFactor::read(text)?.map(|lot_n| workshop.lot(lot_n)),
            Slot::Pulls => changed.pulls_n = read_pulls(text)?,
            Slot::Hammered if is_no(text) => changed.hammered_mm = None,
            Slot::Hammered => {
                let message =
                    text.trim().trim_start_matches("hammered").trim().trim_start_matches("to ").trim();
                changed.hammered_mm = Some(read(message)?.mm);
            }
            Slot::Mandrel => changed.wind_on(reading::rod::read(text, workshop)?),
            Slot::Blade => {
                let word = text.trim().trim_end_matches("blade").trim();
                changed.cutting.blade =
                    Some(word.parse::<Blade>().map_err(|e| Fault::new(field, e.to_string()))?);
            }
            Slot::Temper | Slot::Metal | Slot::Section | Slot::Winding | Slot::Cutting => {
                match (slot, reading::exactly(text)) {
                    (Slot::Metal, _) => match reading::covered_metal(text) {
                        Some(metal) => changed.wire = changed.wire.in_metal(metal),
                        None => return Err(unknown(slot, text).into()),
                    },
                    (Slot::Temper, Some(Word::Temper(temper))) => changed.wire.temper = temper,
                    (Slot::Section, Some(Word::Section(section))) => changed.wire.section = section,
                    (Slot::Winding, Some(Word::Winding(winding))) => changed.winding = winding,
                    (Slot::Cutting, Some(Word::Method(method))) => changed.cutting.method = method,
                    _ => return Err(unknown(slot, text).into()),
                }
            }
        }
        Ok(changed)
    }

    fn nudged(&self, slot: Slot, steps: i32, workshop: &Workshop) -> Result<Self, Faults> {
        let mut changed = self.clone();
        let nudge = |mm: f64| length::nudged(mm, steps, workshop.habits.unit);
        match slot {
            Slot::Rings => {
                changed.rings_n = self.rings_n.saturating_add_signed(steps).max(1);
                changed.wish.supply = None;
            }
            Slot::Size => changed.wire.size_mm = self.wire.size_nudged(steps, workshop.habits),
            Slot::Mandrel => changed.wind_on(self.next_rod(steps, workshop, nudge)),
            Slot::Inside => {
                let plan = self.plan()?;
                return self
                    .giving(nudge(self.wish.inside_mm.unwrap_or(plan.ring_inside_diameter_mm)), workshop);
            }
            Slot::Making => {}
            Slot::Lot => changed.wire.lot = next(&lots(&self.wire, workshop), self.wire.lot, steps),
            Slot::Pulls => changed.pulls_n = self.pulls_n.saturating_add_signed(steps),
            Slot::Hammered => {
                changed.hammered_mm =
                    Some(nudge(self.hammered_mm.unwrap_or(self.wire.profile().thickness_mm())));
            }
            Slot::Temper => changed.wire.temper = next(Temper::ALL, self.wire.temper, steps),
            Slot::Metal => changed.wire.metal = next(Metal::ALL, self.wire.metal, steps),
            Slot::Section => changed.wire.section = next(Section::ALL, self.wire.section, steps),
            Slot::Winding => changed.winding = next(Winding::ALL, self.winding, steps),
            Slot::Cutting => changed.cutting.method = next(Method::ALL, self.cutting.method, steps),
            Slot::Blade => {
                let blade = self.cutting.blade_for(self.wire.size_mm);
                changed.cutting.blade = Some(next(Blade::ALL, blade, steps));
            }
        }
        Ok(changed)
    }

    /// The next larger or smaller rod the workshop owns of this outline; without any, the same rod a
    /// step thicker or thinner.
    fn next_rod(&self, steps: i32, workshop: &Workshop, nudge: impl Fn(f64) -> f64) -> Mandrel {
        let mut own: Vec<&Mandrel> =
            workshop.rods.iter().filter(|rod| rod.shape == self.mandrel.shape).collect();
        own.sort_by(|a, b| a.diameter_mm.total_cmp(&b.diameter_mm));
        let here = self.mandrel.diameter_mm;
        let found = if steps > 0 {
            own.iter().find(|rod| rod.diameter_mm > here + 1e-9)
        } else {
            own.iter().rev().find(|rod| rod.diameter_mm < here - 1e-9)
        };
        match found {
            Some(rod) => (*rod).clone(),
            None if own.is_empty() => Mandrel { diameter_mm: nudge(here), ..self.mandrel.clone() },
            None => self.mandrel.clone(),
        }
    }

    /// The request on the workshop's rod that comes nearest to a wanted inside; on the ideal rod
    /// where the workshop has none.
    fn giving(&self, inside_mm: f64, workshop: &Workshop) -> Result<Self, Faults> {
        let choice = self.target(inside_mm).choose(workshop)?;
        let ideal = (choice.mandrel_diameter_mm * 1e4).round() / 1e4;
        let rod = choice.candidates.into_iter().next().map(|candidate| candidate.mandrel);
        let made = Mandrel { shape: self.mandrel.shape, ..Mandrel::round(ideal) };
        let wish = Wish { inside_mm: Some(inside_mm), ..self.wish };
        Ok(Self { mandrel: rod.unwrap_or(made), wish, ..self.clone() })
    }

    /// Takes a rod of one's own choice: what was wished for before is settled by it.
    fn wind_on(&mut self, rod: Mandrel) {
        if rod != self.mandrel {
            self.wish.inside_mm = None;
        }
        self.mandrel = rod;
    }

    /// The same wire, count and cutting, asked backwards for a ring of this inside, mm.
    pub fn target(&self, inside_mm: f64) -> RingTarget {
        RingTarget {
            wire: self.wire.clone(),
            target_inside_diameter_mm: inside_mm,
            target_inside_short_mm: None,
            shape: self.mandrel.shape,
            rings_n: self.rings_n,
            winding: self.winding,
            cutting: self.cutting.clone(),
            ends: self.ends.clone(),
            pulls_n: self.pulls_n,
            hammered_mm: self.hammered_mm,
            route: self.route.clone(),
            rods: None,
        }
    }

    /// What a word could be instead, each with what it would change.
    ///
    /// Counts and sizes are typed, so they offer nothing; rods are the workshop's own.
    ///
    /// ```
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::ring::sentence::Slot;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let request = RingRequest::new(wire, Mandrel::round(5.0), 100);
    /// let choices = request.choices(Slot::Temper, &Workshop::default());
    /// assert_eq!(choices.iter().filter(|choice| choice.chosen).count(), 1);
    /// ```
    pub fn choices(&self, slot: Slot, workshop: &Workshop) -> Vec<Choice<Self>> {
        let with = |label: &str, change: &dyn Fn(&mut Self)| {
            let mut request = self.clone();
            change(&mut request);
            let request = request.keeping_its_lot(self).recounted(workshop);
            let plan = request.plan();
            let effect = effect(slot, &request, &plan, workshop.habits.unit);
            Choice::of(label.to_owned(), effect, request == *self, plan.is_ok(), request)
        };
        match slot {
            Slot::Rings | Slot::Inside => vec![],
            // Where nothing of this wire was measured there is nothing to choose.
            Slot::Size if workshop.lots_of(&self.wire).next().is_none() => vec![],
            Slot::Lot | Slot::Size => lots(&self.wire, workshop)
                .into_iter()
                .map(|lot| {
                    with(
                        &lot.map_or(
                            text!("ring-change-not-from-spool-in-stock").to_owned(),
                            LotFactor::shown,
                        ),
                        &|r| r.wire.lot = lot,
                    )
                })
                .collect(),
            Slot::Making => self.making_choices(workshop),
            Slot::Pulls => [0, 5, 10, 15, 20]
                .iter()
                .map(|n| {
                    let label = if *n == 0 {
                        text!("ring-change-by-fingers-only").to_owned()
                    } else {
                        text!("ring-change-pulls", n)
                    };
                    with(&label, &|r| r.pulls_n = *n)
                })
                .collect(),
            Slot::Hammered => {
                let h = self.wire.profile().thickness_mm();
                let thin = [None, Some(0.9), Some(0.8), Some(0.7), Some(0.6)];
                let to = |share: Option<f64>| share.map(|share| (share * h * 20.0).round() / 20.0);
                thin.iter()
                    .map(|share| {
                        let label = to(*share).map_or(text!("ring-change-not-hammered").to_owned(), |mm| {
                            thickness(mm, workshop.habits.unit)
                        });
                        with(&label, &|r| r.hammered_mm = to(*share))
                    })
                    .collect()
            }
            Slot::Temper => Temper::ALL.iter().map(|t| with(t.shown(), &|r| r.wire.temper = *t)).collect(),
            Slot::Metal => {
                let metals = Metal::ALL.iter().map(|m| with(m.shown(), &|r| r.wire.metal = *m));
                let surfaces = self.wire.other_surfaces();
                let covered = surfaces.map(|s| with(&text!("ring-change-wire", s), &|r| r.wire.surface = s));
                metals.chain(covered).collect()
            }
            Slot::Section => Section::ALL.iter().map(|s| with(s.shown(), &|r| r.wire.section = *s)).collect(),
            Slot::Winding => Winding::ALL.iter().map(|w| with(w.shown(), &|r| r.winding = *w)).collect(),
            Slot::Cutting => {
                let cut = |method, filed| Cutting { method, filed, ..self.cutting.clone() };
                [
                    ("sawn", cut(Method::Saw, self.cutting.filed)),
                    (text!("ring-change-flush-cut-twice"), cut(Method::DoubleFlush, self.cutting.filed)),
                    (Method::Shears.shown(), cut(Method::Shears, false)),
                    (text!("ring-change-snipped-once"), cut(Method::SingleSnip, false)),
                    (text!("ring-change-snipped-once-filed"), cut(Method::SingleSnip, true)),
                ]
                .iter()
                .map(|(label, cutting)| with(label, &|r| r.cutting = cutting.clone()))
                .collect()
            }
            Slot::Blade => {
                let own = if workshop.blades.is_empty() { Blade::ALL } else { &workshop.blades };
                let now = self.cutting.blade_for(self.wire.size_mm);
                let choice = |blade: &Blade| {
                    let mut choice = with(blade.shown(), &|r| r.cutting.blade = Some(*blade));
                    choice.chosen = *blade == now;
                    choice
                };
                own.iter().map(choice).collect()
            }
            Slot::Mandrel => {
                let unit = workshop.habits.unit;
                let mut own: Vec<&Mandrel> = workshop.rods.iter().collect();
                own.sort_by(|a, b| a.shape.cmp(&b.shape).then(a.diameter_mm.total_cmp(&b.diameter_mm)));
                own.into_iter().map(|rod| with(&rod.shown_in(unit), &|r| r.wind_on(rod.clone()))).collect()
            }
        }
    }
}

/// What a choice gives, as far as this word decides it.
fn effect(slot: Slot, request: &RingRequest, plan: &Result<RingPlan, Faults>, unit: LengthUnit) -> String {
    let plan = match plan {
        Ok(plan) => plan,
        Err(faults) => return faults.0.first().map_or(String::new(), |fault| fault.message.clone()),
    };
    let ring =
        text!("ring-change-ring", ring_inside_diameter_mm = caliper(plan.ring_inside_diameter_mm, unit));
    match slot {
        Slot::Temper | Slot::Metal | Slot::Pulls | Slot::Hammered => {
            let cracks =
                if plan.strain_used > CRACK_STRAIN { text!("ring-change-will-probably-crack") } else { "" };
            let used = 100.0 * plan.strain_used;
            text!(
                "ring-change-opens-at-bending-uses-its",
                ring,
                opening_force_n = load_told(plan.opening_force_n),
                used = fixed(used, 0),
                cracks
            )
        }
        Slot::Section => {
            text!(
                "ring-change-g-wire-opens-at",
                ring,
                wire_mass_g = fixed(plan.wire_mass_g, 1),
                opening_force_n = load_told(plan.opening_force_n)
            )
        }
        Slot::Lot | Slot::Size => {
            let lot =
                request.wire.lot.map_or(text!("ring-change-15-as-in-handbooks").to_owned(), LotFactor::told);
            format!("{ring} ± {}: {lot}", caliper(plan.ring_inside_hand_mm, unit))
        }
        Slot::Winding => request.winding.caution().text,
        Slot::Cutting => {
            text!(
                "ring-change-wire-ring",
                ring,
                wire_length_mm = caliper(plan.wire_length_mm / f64::from(request.rings_n), unit)
            )
        }
        Slot::Blade => {
            let blade = request.cutting.blade_for(request.wire.size_mm);
            let teeth = blade.teeth_in(request.wire.size_mm);
            let few = if teeth < LEAST_TEETH { text!("ring-change-few") } else { "" };
            text!(
                "ring-change-kerf-teeth-in-wire",
                blade = thickness(blade.thickness_mm(), unit),
                teeth = fixed(teeth, 1),
                few,
                ring
            )
        }
        Slot::Mandrel => match request.mandrel.shape {
            Shape::Oval => text!(
                "ring-change-long-short",
                ring,
                ring_inside_short_mm = caliper(plan.ring_inside_short_mm, unit)
            ),
            _ => ring,
        },
        Slot::Rings | Slot::Inside | Slot::Making => String::new(),
    }
}

/// The lots a wire could be taken from: any, or one that was measured.
fn lots(wire: &Wire, workshop: &Workshop) -> Vec<Option<LotFactor>> {
    std::iter::once(None).chain(workshop.lots_of(wire).map(Some)).collect()
}

/// Whether a word takes something back: `no`, `none`, `0`.
fn is_no(text: &str) -> bool {
    matches!(text.trim().to_lowercase().as_str(), "no" | "none" | "not" | "0" | "not hammered")
}

fn read_pulls(text: &str) -> Result<u32, Fault> {
    let typed = text.trim().to_lowercase();
    let digits =
        typed.trim_start_matches("pulled straight").trim_end_matches("times").trim_end_matches("time");
    let digits = digits.trim().trim_end_matches("pulls").trim_end_matches("pull").trim();
    if is_no(digits) || digits == "by fingers only" {
        return Ok(0);
    }
    digits.parse().map_err(|_| {
        Fault::new("pulls_n", text!("ring-change-not-number-pulls-enter-0", text = quoted(text)))
    })
}

fn read_count(text: &str) -> Result<u32, Fault> {
    let text = text.trim().to_lowercase();
    let digits = text.trim_end_matches("rings").trim_end_matches("ring").trim();
    let most = f64::from(super::MOST_RINGS);
    #[expect(clippy::cast_possible_truncation, clippy::cast_sign_loss, reason = "whole and within limits")]
    let read = number::read_count(digits).filter(|n| (0.0..=most).contains(n)).map(|n| n as u32);
    read.ok_or_else(|| {
        let why = match digits {
            digits if digits.starts_with('-') => text!("ring-change-negative"),
            digits if number::read_count(digits).is_some() => text!("ring-change-too-many-for-one-plan"),
            _ => text!("ring-change-not-whole-number-rings"),
        };
        Fault::new(
            "rings_n",
            text!(
                "ring-change-enter-whole-number-from-1",
                text = quoted(&text),
                why,
                most_rings = super::MOST_RINGS
            ),
        )
    })
}

fn unknown(slot: Slot, text: &str) -> Fault {
    let words: Vec<&str> = match slot {
        Slot::Temper => Temper::ALL.iter().map(|t| t.shown()).collect(),
        Slot::Metal => Metal::ALL.iter().map(|m| m.shown()).collect(),
        Slot::Section => Section::ALL.iter().map(|s| s.shown()).collect(),
        Slot::Winding => Winding::ALL.iter().map(|w| w.shown()).collect(),
        Slot::Making => {
            let message = text!("ring-change-choose-steps-add-route-from");
            return Fault::new(field_of(slot), message);
        }
        _ => Method::ALL.iter().map(|m| m.shown()).collect(),
    };
    Fault::new(field_of(slot), words::unknown(slot.shown(), text, &words))
}
