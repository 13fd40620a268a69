//! How far a wire is from what is wanted, point by point, and the same in sentences.
//!
//! Each point counts 0 where the wire is as wanted and about 1 where it is badly off. The weights are
//! ours, set so that a load that is not borne counts most, then the ear, then hands, then looks and money.

use rust_decimal::Decimal;
use rust_decimal::prelude::{FromPrimitive as _, ToPrimitive as _};

use super::duty::{Duty, Measured};
use super::{ChooseRequest, Finish, Joined, Maker, MakersDiffer, Matters, WireCandidate};
use crate::making::operations::Anneal;
use crate::pattern::Worn;
use crate::pattern::check::{PIERCING_MM, piercings_take};
use crate::piece::Piece;
use crate::rack::stock::price::Rack;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;
use crate::wire::metal::{Commonness, Joining, Metal, Nickel, Temper};
use crate::wire::strength::{self, CRACK_STRAIN, WATCH_STRAIN, grams_that_pull, load_told};
use crate::words::capital;
use crate::words::length::{LengthUnit, caliper, on_ruler, shown, thickness};
use crate::words::mass::on_scale;
use crate::words::scale::of_wire;
use lorimant_text::text;

/// What a wire misses that shops seldom sell in its temper.
const SELDOM_SOLD: f64 = 0.6;

/// Effort that hands put up with all day, as a multiple of 20 AWG soft copper.
fn comfortable(maker: Maker) -> f64 {
    match maker {
        Maker::Practising => 2.0,
        Maker::Confident => 5.0,
    }
}

/// A miss that is worth saying before what is as wanted.
const PLAIN: f64 = 0.05;

/// What a wire misses that the piece cannot be made of as it is drawn, or that fails its own checks.
const UNFIT: f64 = 1.5;

/// What a wire misses that would have to be bought, where there is a rack at all.
const TO_BUY: f64 = 0.08;

/// What a wire misses that is not there: it has to be bought, and that in its temper.
fn to_buy(wire: &Wire, rack: &Rack) -> f64 {
    if rack.left_mm(wire) > 0.0 {
        return 0.0;
    }
    let bought = if rack.wires().next().is_none() { 0.0 } else { TO_BUY };
    bought + if wire.metal.is_sold_in(wire.temper) { 0.0 } else { SELDOM_SOLD }
}

/// What so much of a wire costs, by the one price there is of it.
fn cost(wire: &Wire, length_mm: f64, rack: &Rack) -> Option<Decimal> {
    let (per_metre, _) = rack.per_metre(wire)?;
    Decimal::from_f64(length_mm / 1000.0)?.checked_mul(per_metre)
}

fn over(value: f64, limit: f64) -> f64 {
    if value > limit { (value / limit).ln() } else { 0.0 }
}

/// One point on which a wire is weighed.
#[derive(Debug, Clone, Copy, PartialEq)]
enum Point {
    Load,
    Ear,
    Skin,
    /// The hole it goes through.
    Hole,
    /// That it springs back from far.
    Springs,
    /// What matters most.
    Wish,
    Hands,
    Strain,
    Springback,
    Temper,
    Looks,
    Money,
    /// Whether makers commonly take the metal.
    Usual,
}

/// What a metal misses that makers take less often: none of the everyday ones does.
fn unusual(metal: Metal) -> f64 {
    match metal.figures().how_common {
        Commonness::Everyday => 0.0,
        Commonness::AtTimes => 0.25,
        Commonness::Seldom => 0.6,
        Commonness::Asked => 1.2,
    }
}

/// Share of the effort hands put up with that is still called easy.
const EASY: f64 = 0.4;

/// Hands cannot bend wire of more than so many times the effort of 20 AWG soft copper.
const MOST_EFFORT: f64 = 25.0;

/// What a wire misses that is thinner than the piece is drawn: weaker than it was meant.
const THINNER: f64 = 0.9;

/// What a temper misses for each step, of a quarter, that it is harder than the one the piece is usually made in.
const HARDER_STEP: f64 = 0.3;

/// The same for each step that it is softer: a clasp of soft wire opens. Who practises takes soft wire gladly.
fn softer_step(maker: Maker) -> f64 {
    match maker {
        Maker::Practising => 0.15,
        Maker::Confident => 0.7,
    }
}

impl ChooseRequest {
    fn worn(&self, duty: &Duty) -> Worn {
        self.worn.unwrap_or(duty.worn)
    }

    /// The wire a finding is usually made of; of rings there is none.
    fn usual_wire(&self) -> Option<Wire> {
        match &self.purpose {
            Piece::Finding(request) => Some(request.kind.0.usual()),
            Piece::Rings(_) | Piece::Chain(_) => None,
        }
    }

    /// Why a metal cannot serve at all.
    pub(super) fn excludes(&self, metal: Metal, duty: &Duty) -> Option<String> {
        let figures = metal.figures();
        let worn = self.worn(duty);
        if figures.nickel == Nickel::Contained && worn != Worn::Between {
            return Some(text!("choose-weigh-contains-nickel-not-against-skin").to_owned());
        }
        if self.sensitive && (figures.nickel != Nickel::Free || figures.stains) {
            return Some(text!("choose-weigh-irritates-sensitive-skin").to_owned());
        }
        if figures.rusts && worn != Worn::Between {
            return Some(text!("choose-weigh-rusts-against-skin").to_owned());
        }
        if self.joined == Joined::Fused && !metal.joins_by(&[Joining::Fuse]) {
            return Some(text!("choose-weigh-does-not-fuse-itself-ways", metal = metal.joining()));
        }
        let soldered = [Joining::Solder, Joining::SolderGently, Joining::Braze];
        if self.joined == Joined::Soldered && !metal.joins_by(&soldered) {
            return Some(text!("choose-weigh-not-soldered-at-bench-ways", metal = metal.joining()));
        }
        if self.finish == Finish::Darkened && !figures.darkens {
            return Some(text!("choose-weigh-usual-patinas-dont-darken").to_owned());
        }
        None
    }

    fn points(&self, wire: &Wire, measured: &Measured, duty: &Duty, cost: Option<f64>) -> [(Point, f64); 13] {
        let (worn, figures) = (self.worn(duty), wire.metal.figures());
        let load = if self.bears_n <= 0.0 || !duty.bears() || measured.holds_n >= self.bears_n {
            0.0
        } else if measured.holds_hardened_n >= self.bears_n {
            0.3
        } else {
            1.0 + 2.0 * over(self.bears_n, measured.holds_hardened_n)
        };
        let ear = if worn == Worn::Ear {
            let (least, most) = PIERCING_MM;
            let size = 3.0 * (over(wire.size_mm, most) + over(least, wire.size_mm));
            let metal = match figures {
                f if f.stains && self.maker == Maker::Confident => 0.6,
                f if f.nickel == Nickel::Bound => 0.2,
                f if f.fatigues => 0.4,
                _ => 0.0,
            };
            size + metal
        } else {
            0.0
        };
        let worked_over = self.finish == Finish::Polished || self.joined == Joined::Soldered;
        let skin = match figures {
            f if f.stains && worn == Worn::Skin => 0.2,
            f if f.skin_share.is_some() && worked_over => 0.3,
            _ => 0.0,
        };
        let light = if self.matters == Some(Matters::EasyToBend) { EASY } else { 1.0 };
        // A thick clasp is heavy work in any wire: only what is heavier than its usual wire is held against one.
        let usual = self.usual_wire().map_or(0.0, |wire| strength::hand_effort(&wire));
        let hands = over(measured.effort, (light * comfortable(self.maker)).max(light * usual));
        let strain = 2.0 * (measured.strain_used - WATCH_STRAIN).max(0.0);
        // What is to keep its shape springs: that is no fault then.
        let keeps_shape = self.springs || self.matters == Some(Matters::KeepsShape);
        let springback = if keeps_shape { 0.0 } else { 2.0 * (1.0 - measured.springback_ratio) };
        // A finding has the temper it is usually made in; rings are wound of whatever is not harder than half-hard.
        let spent = wire.temper.strain();
        let step = Temper::QuarterHard.strain();
        let from_usual = match &self.purpose {
            Piece::Finding(request) => {
                let steps = (spent - request.kind.0.usual().temper.strain()) / step;
                match self.matters {
                    Some(Matters::EasyToBend) if steps < 0.0 => -steps * softer_step(Maker::Practising),
                    Some(Matters::KeepsShape) if steps > 0.0 => 0.1 * steps,
                    _ if steps < 0.0 => -steps * softer_step(self.maker),
                    _ => steps * HARDER_STEP,
                }
            }
            _ if keeps_shape => 0.0,
            _ if spent > Temper::HalfHard.strain() => {
                0.2 + HARDER_STEP * (spent - Temper::HalfHard.strain()) / step
            }
            _ => 0.0,
        };
        let keeps = if figures.fatigues && duty.bears() {
            // What is opened and closed, or pulled at, breaks there.
            1.2
        } else if figures.fatigues {
            0.6
        } else if figures.stays_soft && self.joined != Joined::Fused {
            0.2
        } else {
            0.0
        };
        let temper = from_usual + keeps;
        let spring_wire = self.springs && wire.metal.is_sold_in(Temper::Spring);
        // Through a hole goes what is thinner: as near to the drawing as it lets.
        let drawn_mm = self.goes_through_mm().map_or(duty.drawn_mm, |most| most.min(duty.drawn_mm));
        let ratio = wire.size_mm / drawn_mm;
        let looks = 1.5 * ratio.ln().abs() + if ratio < 0.97 { THINNER } else { 0.0 };
        let most = self.most_each.and_then(|most| most.to_f64());
        let money = match (most, cost) {
            (Some(most), Some(cost)) if most > 0.0 && cost > most => 0.6 + over(cost, most),
            (Some(most), Some(cost)) if most > 0.0 => 0.1 * cost / most,
            (Some(_), None) => 0.3,
            _ => 0.0,
        };
        [
            (Point::Load, load),
            (Point::Ear, ear),
            (Point::Skin, skin + self.irritates(wire.metal)),
            (Point::Hole, 0.0),
            (Point::Springs, self.springs_less(wire)),
            (Point::Wish, self.matters_less(wire)),
            (Point::Hands, hands),
            (Point::Strain, strain),
            (Point::Springback, springback),
            (Point::Temper, temper),
            (Point::Looks, looks),
            (Point::Money, money + self.too_dear_for_practice(wire)),
            (Point::Usual, if self.sensitive || spring_wire { 0.0 } else { unusual(wire.metal) }),
        ]
    }

    /// How far a wire is from what is wanted; none where it would crack.
    pub(super) fn misses(&self, wire: &Wire, measured: &Measured, duty: &Duty, rack: &Rack) -> Option<f64> {
        if measured.strain_used > CRACK_STRAIN || measured.effort > MOST_EFFORT || !self.passes(wire) {
            return None;
        }
        let cost = cost(wire, measured.blank_mm, rack).and_then(|cost| cost.to_f64());
        let points = self.points(wire, measured, duty, cost);
        Some(points.iter().map(|(_, miss)| miss).sum::<f64>() + to_buy(wire, rack))
    }

    /// A wire with its figures and its reasons.
    pub(super) fn candidate(
        &self,
        wire: &Wire,
        duty: &Duty,
        rack: &Rack,
        workshop: &Workshop,
    ) -> Option<WireCandidate> {
        let habits = workshop.habits;
        let mut measured = duty.measure(wire)?;
        let unfit = self.as_made(wire, workshop, &mut measured);
        let mass_g = wire.mass_g(measured.blank_mm);
        let cost = cost(wire, measured.blank_mm, rack).map(|cost| cost.round_dp(3));
        let left_mm = rack.left_mm(wire);
        let points = self.points(wire, &measured, duty, cost.and_then(|cost| cost.to_f64()));
        // Whether it holds is what was asked for first, and said first.
        let asked_first = |point: Point| point == Point::Load && self.bears_n > 0.0;
        let mut reasons: Vec<(f64, String)> = points
            .iter()
            .filter_map(|(point, miss)| {
                let told = self.sentence(*point, *miss, wire, (&measured, duty), cost, habits.unit)?;
                Some((if asked_first(*point) { f64::INFINITY } else { *miss }, told))
            })
            .collect();
        if left_mm <= 0.0 && !wire.metal.is_sold_in(wire.temper) {
            reasons.push((SELDOM_SOLD, text!("choose-weigh-seldom-sold", temper = wire.temper.shown())));
        }
        let unfit_miss = if unfit.is_empty() { 0.0 } else { UNFIT };
        reasons.extend(unfit.into_iter().map(|sentence| (UNFIT, sentence)));
        // What misses plainly first, the worst before the rest; what is as wanted keeps its order.
        let plain = |miss: f64| if miss < PLAIN { 0.0 } else { miss };
        reasons.sort_by(|a, b| plain(b.0).total_cmp(&plain(a.0)));
        let mut cautions = vec![wire.metal.figures().care.to_string()];
        if measured.strain_used > CRACK_STRAIN {
            cautions.insert(
                0,
                text!("choose-weigh-will-probably-crack-at-its", wire = Anneal::advice(wire, &workshop.gear)),
            );
        }
        if self.worn(duty) == Worn::Ear && wire.metal.figures().stains {
            cautions.push(text!("choose-weigh-many-wear-in-ear-others").to_owned());
        }
        if self.sensitive {
            cautions.insert(0, text!("choose-weigh-sold-for-piercings").to_owned());
        }
        cautions.retain(|caution| !caution.is_empty());
        let holds = [measured.holds_n, measured.holds_hardened_n];
        Some(WireCandidate {
            wire: wire.clone(),
            label: wire.shown(habits.unit),
            holds_n: duty.bears().then_some(measured.holds_n),
            holds_g: duty.bears().then(|| holds.map(grams_that_pull)),
            holds_text: duty.bears().then(|| holds.map(load_told)),
            holds_hardened_n: duty.bears().then_some(measured.holds_hardened_n),
            effort: measured.effort,
            strain_used: measured.strain_used,
            springback_ratio: measured.springback_ratio,
            blank_mm: measured.blank_mm,
            mass_g,
            cut_text: text!(
                "choose-weigh-cut",
                cut = measured
                    .cut_mm
                    .map_or_else(|| caliper(measured.blank_mm, habits.unit), |mm| on_ruler(mm, habits.unit)),
                g = on_scale(mass_g)
            ),
            on_rack: (left_mm > 0.0)
                .then(|| text!("choose-weigh-in-stock", left_mm = of_wire(left_mm, habits.unit))),
            cost,
            misses: points.iter().map(|(_, miss)| miss).sum::<f64>() + unfit_miss + to_buy(wire, rack),
            reasons: reasons.into_iter().map(|(_, sentence)| sentence).collect(),
            cautions,
            colour: wire.metal.figures().colour,
        })
    }

    fn sentence(
        &self,
        point: Point,
        miss: f64,
        wire: &Wire,
        (measured, duty): (&Measured, &Duty),
        cost: Option<Decimal>,
        unit: LengthUnit,
    ) -> Option<String> {
        let percent = |share: f64| shown(100.0 * share, 0);
        Some(match point {
            Point::Load if !duty.bears() => return None,
            Point::Load => self.load_told(miss, measured),
            Point::Ear if self.worn(duty) != Worn::Ear => return None,
            Point::Ear => ear_told(wire, unit),
            Point::Skin if miss <= 0.0 => return None,
            Point::Skin if self.sensitive => text!("choose-weigh-sensitive-may-not-bear-it").to_owned(),
            Point::Skin if wire.metal.figures().stains => text!("choose-weigh-stains-skin").to_owned(),
            Point::Skin => text!("choose-weigh-its-outer-layer-thin-polish").to_owned(),
            Point::Hole => self.hole_told(wire, unit)?,
            Point::Springs if !self.springs => return None,
            Point::Springs => text!("choose-wish-springs", well = miss < 0.8),
            Point::Wish => self.wish_told(miss)?,
            Point::Hands => {
                let most = comfortable(self.maker);
                let hands = match measured.effort / most {
                    share if share <= 0.4 => text!("choose-weigh-easy-on-hands"),
                    share if share <= 1.0 => text!("choose-weigh-moderate-work-for-hands"),
                    _ => text!("choose-weigh-heavy-on-hands"),
                };
                text!("choose-weigh-times-soft-20-awg-copper", hands, effort = two_figures(measured.effort))
            }
            Point::Strain => {
                let bends = if miss > 0.0 {
                    text!("choose-weigh-watch-for-cracks")
                } else {
                    text!("choose-weigh-bends-well")
                };
                text!(
                    "choose-weigh-its-tightest-bend-uses-stretch",
                    strain_used = percent(measured.strain_used),
                    bends
                )
            }
            Point::Springback => {
                text!(
                    "choose-weigh-springs-back-when-let-go",
                    springback_ratio = shown(100.0 * (1.0 - measured.springback_ratio), 1)
                )
            }
            Point::Temper if miss <= 0.0 => return None,
            Point::Temper => temper_told(wire),
            Point::Looks => {
                let ratio = wire.size_mm / duty.drawn_mm;
                if (ratio - 1.0).abs() < 0.02 {
                    text!("choose-weigh-as-thick-as-drawn").to_owned()
                } else {
                    text!(
                        "choose-weigh-than-drawn",
                        ratio = percent((ratio - 1.0).abs()),
                        thicker = ratio > 1.0
                    )
                }
            }
            Point::Usual if miss <= 0.0 => return None,
            Point::Usual => text!("choose-weigh-seldom-used-for-this", metal = capital(wire.metal.shown())),
            // What it costs stands beside its name; here is said whether that is too much.
            Point::Money => {
                let (cost, most) = cost.zip(self.most_each)?;
                if cost > most {
                    text!("choose-weigh-wire-costs-piece-more-than", cost, most)
                } else {
                    text!("choose-weigh-wire-costs-piece", cost, most)
                }
            }
        })
    }

    /// What it holds, against what is asked for.
    fn load_told(&self, miss: f64, measured: &Measured) -> String {
        if measured.closed {
            let now = load_told(measured.holds_n);
            return match miss {
                m if m <= 0.0 => text!("choose-weigh-joined-pulls-out-shape-at", now),
                _ => text!("choose-weigh-not-strong-enough-joined-but", now),
            };
        }
        let holds = text!(
            "choose-weigh-opens-at-about-as-made",
            holds_n = load_told(measured.holds_n),
            holds_hardened_n = load_told(measured.holds_hardened_n)
        );
        let asked = load_told(self.bears_n);
        match (self.bears_n, miss) {
            (n, _) if n <= 0.0 => format!("{holds}."),
            (_, m) if m <= 0.0 => text!("choose-weigh-strong-enough-for-you-need", holds, asked),
            (_, m) if m <= 0.3 => {
                text!("choose-weigh-strong-enough-for-you-need-only", holds, asked)
            }
            _ => text!("choose-weigh-not-strong-enough-for-you", holds, asked),
        }
    }

    /// Both answers to the questions on which makers differ, in this wire's figures.
    pub(super) fn makers_differ(&self, best: &Wire, duty: &Duty, workshop: &Workshop) -> Vec<MakersDiffer> {
        let habits = workshop.habits;
        let mut makers_differ = vec![];
        let measured = |wire: Wire| {
            let mut measured = duty.measure(&wire)?;
            self.as_made(&wire, workshop, &mut measured);
            Some(measured)
        };
        let in_temper = |temper| measured(Wire { temper, ..best.clone() });
        if let (Some(soft), Some(half)) = (in_temper(Temper::Soft), in_temper(Temper::HalfHard)) {
            let figures = |m: Measured| {
                let load = if duty.bears() {
                    text!(
                        "choose-weigh-opens-at-as-made-after",
                        holds_n = load_told(m.holds_n),
                        holds_hardened_n = load_told(m.holds_hardened_n)
                    )
                } else {
                    String::new()
                };
                let springs = shown(100.0 * (1.0 - m.springback_ratio), 1);
                text!("choose-weigh-effort-springs-back", effort = shown(m.effort, 1), load, springs)
            };
            makers_differ.push(MakersDiffer {
                question: text!("choose-weigh-start-soft-or-half-hard"),
                some: text!("choose-weigh-dead-soft-hardened-afterwards", soft = figures(soft)),
                others: text!("choose-weigh-half-hard-used-as", half = figures(half)),
            });
        }
        if self.worn(duty) == Worn::Ear {
            let in_size = |number| {
                let gauge = crate::words::gauge::Gauge::new(crate::words::gauge::GaugeSystem::Awg, number)?;
                let wire = Wire { size_mm: gauge.mm(), ..best.clone() };
                let m = measured(wire.clone())?;
                Some(text!(
                    "choose-weigh-opens-at-effort",
                    wire = wire.size_shown(habits.unit),
                    holds_n = load_told(m.holds_n),
                    effort = shown(m.effort, 1)
                ))
            };
            if let (Some(thick), Some(thin)) = (in_size(20), in_size(22)) {
                makers_differ.push(MakersDiffer {
                    question: text!("choose-weigh-how-thick-in-ear"),
                    some: text!("choose-weigh-thicker-for-large-heavy-earrings", thick),
                    others: text!("choose-weigh-thinner-for-small-ears-size", thin),
                });
            }
        }
        makers_differ
    }
}

/// A number in two figures.
fn two_figures(value: f64) -> String {
    if value < 10.0 { shown(value, 1) } else { shown(value, 0) }
}

fn ear_told(wire: &Wire, unit: LengthUnit) -> String {
    let (least, most) = PIERCING_MM;
    let (size, take) = (thickness(wire.size_mm, unit), piercings_take(unit));
    if (least..=most).contains(&wire.size_mm) {
        text!("choose-weigh-fits-usual-piercings", size, take)
    } else {
        text!("choose-weigh-does-not-fit-usual-piercings", size, take)
    }
}

fn temper_told(wire: &Wire) -> String {
    let figures = wire.metal.figures();
    match wire.temper {
        _ if figures.fatigues => text!("choose-weigh-too-soft-hold-tires-when").to_owned(),
        Temper::Soft if figures.stays_soft => text!("choose-weigh-stays-soft-unless-worked-hard").to_owned(),
        Temper::Soft => text!("choose-weigh-soft-must-be-hardened-afterwards").to_owned(),
        temper => {
            text!("choose-weigh-wire-resists-bending-shows-tool", temper = capital(temper.shown()))
        }
    }
}
