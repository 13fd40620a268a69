//! Changing one word of a chain's sentence: by choice, by typing, by a nudge.

use super::sentence::{ChainSlot, field_of, length_told};
use super::weaves::{self, Known};
use super::{ChainRequest, Taut};
use crate::fault::{Fault, Faults};
use crate::pattern::{Family, Kind, PatternRequest};
use crate::ring::RingRequest;
use crate::tool::workshop::Workshop;
use crate::wire::metal::Metal;
use crate::words::length::{self, LengthUnit};
use crate::words::sentence::{Change, Choice, next};
use crate::words::{number, quoted, unknown};
use lorimant_text::{fixed, text};

/// A nudge of a chain's length, mm: half a centimetre, or an eighth of an inch.
fn length_step_mm(unit: LengthUnit) -> f64 {
    match unit {
        LengthUnit::Mm => 5.0,
        LengthUnit::Inch => 3.175,
    }
}

/// The clasps of the trade.
pub fn clasps() -> impl Iterator<Item = Kind> {
    Kind::all().filter(|kind| kind.0.family == Family::Clasps)
}

/// A weave of the trade by anything it is called.
///
/// ```
/// use lorimant_core::chain::change::weave_called;
///
/// assert_eq!(weave_called("Full Persian").unwrap().word, "full-persian-6-in-1");
/// ```
#[must_use]
pub fn weave_called(text: &str) -> Option<&'static Known> {
    let wanted = text.trim().to_lowercase().replace('-', " ");
    let is = |name: &str| name.to_lowercase().replace('-', " ") == wanted;
    weaves::all()
        .iter()
        .find(|known| is(known.word) || is(&known.weave.name) || known.also.iter().any(|also| is(also)))
}

impl ChainRequest {
    /// The same with what the workshop knows of its lots by now.
    #[must_use]
    pub fn known(mut self, workshop: &Workshop) -> Self {
        workshop.knows(&mut self.ring.wire);
        self.second_ring.iter_mut().for_each(|ring| workshop.knows(&mut ring.wire));
        self
    }

    /// The request with one word changed. The result may still have faults that planning finds.
    ///
    /// ```
    /// use lorimant_core::chain::ChainRequest;
    /// use lorimant_core::chain::sentence::ChainSlot;
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    /// use lorimant_core::words::sentence::Change;
    ///
    /// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
    /// let chain = ChainRequest::new("byzantine", RingRequest::new(wire, Mandrel::round(5.0), 1), 180.0);
    /// let shop = Workshop::default();
    /// let boxed = chain.changed(ChainSlot::Weave, &Change::Typed("box".into()), &shop).unwrap();
    /// assert_eq!(boxed.weave, "box");
    /// let longer = chain.changed(ChainSlot::Length, &Change::Typed("20 cm".into()), &shop).unwrap();
    /// assert_eq!(longer.length_mm, 200.0);
    /// ```
    ///
    /// # Errors
    /// A fault at the word's field when what was typed cannot be read there.
    pub fn changed(&self, slot: ChainSlot, change: &Change, workshop: &Workshop) -> Result<Self, Faults> {
        if let Some((ring_slot, second)) = slot.of_ring() {
            let ring = if second { self.second_ring.as_ref() } else { Some(&self.ring) };
            let Some(ring) = ring else {
                return Err(Fault::new("second_ring", text!("chain-change-all-its-rings-same")).into());
            };
            let at = if second { "second_ring" } else { "ring" };
            let changed = ring.changed(ring_slot, change, workshop).map_err(|faults| faults.within(at))?;
            return Ok(self.with_ring(changed, second));
        }
        match change {
            Change::Typed(text) => self.typed(slot, text, workshop),
            Change::Nudge(steps) => Ok(self.nudged(slot, *steps, workshop)),
            Change::Pulled(_) => {
                Err(Fault::new(field_of(slot), text!("chain-change-chain-has-no-dimension-drag")).into())
            }
        }
    }

    fn with_ring(&self, ring: RingRequest, second: bool) -> Self {
        if second { Self { second_ring: Some(ring), ..self.clone() } } else { Self { ring, ..self.clone() } }
    }

    /// The same in another weave; what only the old one had is left out.
    #[must_use]
    pub fn in_weave(&self, known: &Known) -> Self {
        let second_ring = self.second_ring.clone().filter(|_| known.weave.parts().len() > 1);
        Self { weave: known.word.to_owned(), own_weave: None, second_ring, ..self.clone() }
    }

    fn typed(&self, slot: ChainSlot, text: &str, workshop: &Workshop) -> Result<Self, Faults> {
        let mut changed = self.clone();
        let field = field_of(slot);
        let fault = |message: String| Faults::from(Fault::new(&field, message));
        let count = |noun: &str, most: u32| {
            let digits: String = text.trim().chars().take_while(char::is_ascii_digit).collect();
            let read = number::read_count(&digits).filter(|n| (0.0..=f64::from(most)).contains(n));
            #[expect(
                clippy::cast_possible_truncation,
                clippy::cast_sign_loss,
                reason = "whole and within limits"
            )]
            read.map(|n| n as u32).ok_or_else(|| {
                fault(text!("chain-change-not-number-enter-one-up", text = quoted(text), noun, most))
            })
        };
        match slot {
            ChainSlot::Chains => changed.chains_n = count("chains", super::MOST_CHAINS)?,
            ChainSlot::Across => changed.across_n = count(text!("chain-change-cells-across"), 200)?,
            ChainSlot::Spares => changed.spares_n = count(text!("chain-change-spare-rings"), 10_000)?,
            ChainSlot::Scrapped => {
                let percent = text
                    .trim()
                    .trim_end_matches("spoiled")
                    .trim_end_matches("scrap")
                    .trim()
                    .trim_end_matches('%')
                    .trim();
                let read = percent.replace(',', ".").parse::<f64>().ok().filter(|n| (0.0..=50.0).contains(n));
                let wrong = || fault(text!("chain-change-not-between-0-50-type", text = quoted(text)));
                changed.scrap_share = read.ok_or_else(wrong)? / 100.0;
            }
            ChainSlot::Length => changed.length_mm = length::read(text, workshop.habits).map_err(fault)?.mm,
            ChainSlot::Ease => {
                let typed = text.trim().trim_end_matches("of ease").trim();
                let (sign, typed) = typed.strip_prefix(['-', '−']).map_or((1.0, typed), |rest| (-1.0, rest));
                changed.ease_mm = if matches!(typed, "0" | "no" | "none" | "no ease") {
                    0.0
                } else {
                    sign * length::read(typed, workshop.habits).map_err(fault)?.mm
                };
            }
            ChainSlot::Weave => {
                let Some(known) = weave_called(text) else {
                    let names: Vec<&str> =
                        weaves::all().iter().map(|known| known.weave.name.as_str()).collect();
                    return Err(fault(unknown("weave", text, &names)));
                };
                changed = self.in_weave(known);
            }
            ChainSlot::Clasp => {
                let typed = text.trim().trim_start_matches("an ").trim_start_matches("a ").to_lowercase();
                if matches!(typed.as_str(), "no clasp" | "no" | "none" | "without") {
                    changed.clasp = None;
                } else {
                    let kind = clasps().find(|kind| {
                        kind.0.name.eq_ignore_ascii_case(&typed) || kind.0.also.contains(&typed.as_str())
                    });
                    let Some(kind) = kind else {
                        let names: Vec<&str> = clasps()
                            .map(|kind| kind.0.name.as_str())
                            .chain([text!("chain-change-no-clasp")])
                            .collect();
                        return Err(fault(unknown("clasp", text, &names)));
                    };
                    changed.clasp = Some(PatternRequest::usual(kind));
                }
            }
            _ => {
                return Err(fault(text!("chain-change-choose-whether-second-part-has").to_owned()));
            }
        }
        Ok(changed)
    }

    fn nudged(&self, slot: ChainSlot, steps: i32, workshop: &Workshop) -> Self {
        let mut changed = self.clone();
        let unit = workshop.habits.unit;
        match slot {
            ChainSlot::Chains => changed.chains_n = self.chains_n.saturating_add_signed(steps).max(1),
            ChainSlot::Across => changed.across_n = self.across_n.saturating_add_signed(steps).max(1),
            ChainSlot::Spares => changed.spares_n = self.spares_n.saturating_add_signed(steps),
            ChainSlot::Length => {
                let step = length_step_mm(unit);
                let next = (self.length_mm / step).round() + f64::from(steps);
                changed.length_mm = (next * step).max(step);
            }
            ChainSlot::Scrapped => {
                let percent = (self.scrap_share * 100.0).round() + f64::from(steps);
                changed.scrap_share = percent.clamp(0.0, 50.0) / 100.0;
            }
            ChainSlot::Ease => changed.ease_mm = self.ease_mm + f64::from(steps),
            ChainSlot::Weave => {
                let all: Vec<&Known> = weaves::all().iter().collect();
                if let Some(here) = weaves::by_word(&self.weave) {
                    changed = self.in_weave(next(&all, here, steps));
                }
            }
            ChainSlot::Clasp => {
                let all: Vec<Option<&str>> =
                    std::iter::once(None).chain(clasps().map(|kind| Some(kind.0.kind))).collect();
                let here = self.clasp.as_ref().map(|clasp| clasp.kind.0.kind);
                let kind = next(&all, here, steps).and_then(|word| word.parse::<Kind>().ok());
                changed.clasp = kind.map(PatternRequest::usual);
            }
            _ => {}
        }
        changed
    }

    /// What a word could be instead, each with what it would change.
    ///
    /// ```
    /// use lorimant_core::chain::ChainRequest;
    /// use lorimant_core::chain::sentence::ChainSlot;
    /// use lorimant_core::ring::RingRequest;
    /// use lorimant_core::tool::mandrel::Mandrel;
    /// use lorimant_core::tool::workshop::Workshop;
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let wire = Wire::round(Metal::Copper, 1.2, Temper::Soft);
    /// let chain = ChainRequest::new("byzantine", RingRequest::new(wire, Mandrel::round(5.0), 1), 180.0);
    /// let weaves = chain.choices(ChainSlot::Weave, &Workshop::default());
    /// let persian = weaves.iter().find(|choice| choice.label.starts_with("full Persian")).unwrap();
    /// assert!(!persian.possible && persian.effect.contains("5.05"), "{}", persian.effect);
    /// ```
    #[must_use]
    pub fn choices(&self, slot: ChainSlot, workshop: &Workshop) -> Vec<Choice<Self>> {
        let unit = workshop.habits.unit;
        let choice = |label: &str, request: Self| {
            let (effect, possible) = request.told_shortly(unit);
            Choice::of(label.to_owned(), effect, request == *self, possible, request)
        };
        if let Some((ring_slot, second)) = slot.of_ring() {
            let ring = if second { self.second_ring.as_ref() } else { Some(&self.ring) };
            let offered = ring.map(|ring| ring.choices(ring_slot, workshop)).unwrap_or_default();
            return offered
                .into_iter()
                .map(|offer| choice(&offer.label, self.with_ring(offer.request, second)))
                .collect();
        }
        match slot {
            ChainSlot::Weave => {
                weaves::all().iter().map(|known| choice(&known.weave.name, self.in_weave(known))).collect()
            }
            ChainSlot::Clasp => {
                std::iter::once(choice(text!("chain-change-no-clasp"), Self { clasp: None, ..self.clone() }))
                    .chain(clasps().map(|kind| {
                        let clasp = match &self.clasp {
                            Some(clasp) if clasp.kind.0.kind == kind.0.kind => clasp.clone(),
                            _ => PatternRequest::usual(kind),
                        };
                        choice(kind.0.name.as_str(), Self { clasp: Some(clasp), ..self.clone() })
                    }))
                    .collect()
            }
            ChainSlot::Ease => [0.0, 5.0, 10.0, -5.0, -10.0]
                .iter()
                .map(|mm| {
                    let label = if *mm == 0.0 {
                        text!("chain-change-no-ease").to_owned()
                    } else {
                        length_told(*mm, unit)
                    };
                    choice(&label, Self { ease_mm: *mm, ..self.clone() })
                })
                .collect(),
            ChainSlot::Second => self.second_choices(&choice),
            _ => vec![],
        }
    }

    /// The second part's rings: as the first, or in another metal.
    fn second_choices(&self, choice: &dyn Fn(&str, Self) -> Choice<Self>) -> Vec<Choice<Self>> {
        let alike = choice(text!("chain-change-all-rings-same"), Self { second_ring: None, ..self.clone() });
        if !self.has_second_part() {
            return vec![alike];
        }
        let of = |metal: &Metal| {
            let mut second = self.second_ring.clone().unwrap_or_else(|| self.ring.clone());
            second.wire.metal = *metal;
            choice(
                &text!("chain-change-of", metal = metal.shown()),
                Self { second_ring: Some(second), ..self.clone() },
            )
        };
        std::iter::once(alike).chain(Metal::ALL.iter().map(of)).collect()
    }

    /// Whether its weave has a second part, whose rings may be of another wire or size.
    #[must_use]
    pub fn has_second_part(&self) -> bool {
        self.design().is_ok_and(|design| design.parts().len() > 1)
    }

    /// What comes of it in a few words, and whether it can be made.
    fn told_shortly(&self, unit: LengthUnit) -> (String, bool) {
        if !self.is_at_hand() {
            return (text!("chain-change-worked-out-when-you-choose").to_owned(), true);
        }
        let taut = match self.taut() {
            Ok(taut) => taut,
            Err(faults) => return (faults.0.first().map_or_else(String::new, |f| f.message.clone()), false),
        };
        let Taut { ratio, smallest_ratio, suits, .. } = taut;
        if !taut.fits() {
            return (
                text!(
                    "chain-change-not-possible-needs",
                    ratio = fixed(ratio, 2),
                    smallest_ratio = fixed(smallest_ratio, 2)
                ),
                false,
            );
        }
        match self.plan() {
            Ok(plan) => (
                text!(
                    "chain-change-ratio-rings",
                    ratio = fixed(ratio, 2),
                    suits = suits.shown(),
                    rings_n = plan.rings_n,
                    finished_length_mm = length_told(plan.finished_length_mm, unit)
                ),
                true,
            ),
            Err(faults) => (faults.to_string(), false),
        }
    }
}
