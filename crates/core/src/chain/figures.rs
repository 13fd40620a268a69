//! The figures of a chain, each with its working.

use super::{ChainPlan, ChainRequest, Suits};
use crate::figure::{Figure, Level, Question, figure};
use crate::wire::strength::weight_that_pulls;
use crate::words::length::{LengthUnit, caliper, long_length, shown};
use crate::words::scale::of_wire;
use crate::working::{Numbers, count, num, plain};
use lorimant_text::{Text, fixed, text};

const CONTACT: Text = Text::named("chain-figures-rings-as-tori-that-touch");
const TALLY: Text = Text::named("chain-figures-counting");
const PLASTIC: Text = Text::named("chain-figures-plastic-hinge-opposite-gap-rings");

impl ChainPlan {
    /// Every figure of the plan in the order it is read, with its working.
    #[must_use]
    pub fn figures(&self, request: &ChainRequest, minutes: f64, unit: LengthUnit) -> Vec<Figure> {
        let mut figures = self.count(request);
        figures.extend(self.in_your_hand(request, unit));
        figures.extend(self.off_the_spool(request, minutes, unit));
        figures.push(self.will_it_hold());
        figures
    }

    fn count(&self, request: &ChainRequest) -> Vec<Figure> {
        let question = Question::Cut;
        let chains = request.chains_n;
        let rings = figure("rings", question, text!("chain-figures-rings-in"), self.rings_n.to_string(), "")
            .more(text!(
                "chain-figures-pre-closed-open",
                shut_before_n = self.pre_closed_n,
                open_n = self.open_n,
                cells_n = text!("count-row", n = self.cells_n)
            ))
            .says(text!("chain-figures-rings-in-chain-itself-whole"))
            .formula(
                text!("chain-figures-repeats-rings-in-repeat"),
                [self.rings_per_cell, self.across_n]
                    .into_iter()
                    .filter(|n| *n > 1)
                    .fold(count(self.cells_n), |all, n| all * count(n))
                    .comes_to(0, ""),
            )
            .assumes(
                text!("chain-figures-no-two-linked-rings-both"),
                text!("chain-figures-exact-within-half-repeat-length"),
                TALLY.as_str(),
            );
        let make = figure(
            "rings-to-make",
            question,
            text!("chain-figures-rings-make"),
            self.rings_to_make_n.to_string(),
            "",
        )
        .more(text!(
            "chain-figures-scrap-spare",
            scrap_share = shown(request.scrap_share * 100.0, 1),
            spares_n = request.spares_n
        ))
        .says(text!("chain-figures-includes-usual-scrap-from-opening"))
        .formula(
            text!("chain-figures-rings-chains-1-scrap-spares"),
            (count(self.rings_n) * count(chains) * plain(1.0 + request.scrap_share)
                + count(request.spares_n))
            .comes_to(2, "")
            .so(&self.rings_to_make_n.to_string()),
        )
        .assumes(
            text!("chain-figures-set-in-your-workshop-settings"),
            text!("chain-figures-habit-not-law"),
            TALLY.as_str(),
        );
        vec![rings, make]
    }

    fn in_your_hand(&self, request: &ChainRequest, unit: LengthUnit) -> Vec<Figure> {
        let question = Question::InYourHand;
        let finished = self.finished_length_mm;
        let spread =
            format!("± {}", caliper((self.chain_length_spread_mm.max(0.1) * 10.0).round() / 10.0, unit));
        let off = finished - (request.length_mm - request.ease_mm);
        let more = if off.abs() > 1.0 {
            text!(
                "chain-figures-than-asked-whole-rows-only",
                spread,
                off = caliper((off.abs() * 10.0).round() / 10.0, unit),
                longer = off > 0.0
            )
        } else {
            spread
        };
        let length = figure(
            "chain-length",
            question,
            text!("chain-figures-finished-length"),
            shown(finished, 1),
            "mm",
        )
        .ruler(finished)
        .more(more)
        .says(text!("chain-figures-pulled-taut-with-clasp-if"))
        .formula(
            text!("chain-figures-repeats-length-one-clasp"),
            (count(self.cells_n) * num(self.repeat_mm, 3) + num(self.clasp_mm, 1)).comes_to(1, "mm"),
        )
        .assumes(
            text!("chain-figures-rings-round-equal-clasp-pulled"),
            text!(
                "chain-figures-mm-one-standard-deviation-what",
                chain_length_spread_mm = shown(self.chain_length_spread_mm, 1),
                rings_n = self.rings_n
            ),
            CONTACT.as_str(),
        );
        let level = match self.suits {
            Suits::Stiff | Suits::Floppy => Some(Level::Watch),
            _ => None,
        };
        let mut ratio = figure(
            "aspect-ratio",
            question,
            text!("chain-figures-aspect-ratio"),
            format!("{:.1}", self.aspect_ratio),
            "",
        )
        .more(text!(
            "chain-figures-at-least",
            suits = self.suits.shown(),
            smallest_ratio = fixed(self.smallest_ratio, 2)
        ))
        .says(text!(
            "chain-figures-aspect-ratio-your-finished-rings",
            usual_ratio = shown(self.usual_ratio[0], 1),
            usual_ratio2 = shown(self.usual_ratio[1], 1)
        ))
        .formula(
            text!("chain-figures-id-d"),
            (num(self.ring_inside_mm, 3) / num(request.ring.wire.size_mm, 3)).comes_to(3, ""),
        )
        .assumes(
            text!("chain-figures-usual-range-our-own-judgement"),
            text!("chain-figures-smallest-ratio-found-upper-limit"),
            CONTACT.as_str(),
        );
        ratio.level = level;
        let repeat =
            figure("repeat", question, text!("chain-figures-one-repeat"), shown(self.repeat_mm, 2), "mm")
                .ruler(self.repeat_mm)
                .says(text!("chain-figures-from-one-repeat-next-pulled"))
                .formula(
                    text!("chain-figures-longest-shift-without-overlap"),
                    Numbers::told(text!(
                        "chain-figures-mm-found-for-rings-mm",
                        repeat_mm = shown(self.repeat_mm, 3),
                        ring_inside_mm = shown(self.ring_inside_mm, 3)
                    )),
                )
                .assumes(
                    text!("chain-figures-pulled-taut-no-friction"),
                    text!("chain-figures-0-5-repeat-plus-rings"),
                    CONTACT.as_str(),
                );
        let [wide, deep] = self.across_mm;
        let across = figure(
            "chain-across",
            question,
            text!("chain-figures-width"),
            format!("{} × {}", shown(wide, 1), shown(deep, 1)),
            "mm",
        )
        .says(text!("chain-figures-how-wide-chain-pulled-taut"))
        .formula(
            text!("chain-figures-outermost-wire-outermost-wire"),
            Numbers::told(text!("chain-figures-mm", wide = shown(wide, 2), deep = shown(deep, 2))),
        )
        .assumes(
            text!("chain-figures-pulled-taut"),
            text!("chain-figures-as-ring"),
            CONTACT.as_str(),
        );
        vec![length, ratio, repeat, across]
    }

    fn off_the_spool(&self, request: &ChainRequest, minutes: f64, unit: LengthUnit) -> Vec<Figure> {
        let question = Question::OffTheSpool;
        let (wire, wire_unit) = long_length(self.off_the_spool_mm);
        let spool = figure("wire", question, text!("chain-figures-wire-off-spool"), wire, wire_unit)
            .ruler(self.off_the_spool_mm)
            .more(text!(
                "chain-figures-g-in-all",
                off_the_spool_g = shown(self.off_the_spool_g, 1),
                coils_n = text!("count-coil", n = self.coils_n)
            ))
            .says(text!("chain-figures-for-all-rings-with-kerf"))
            .formula(
                text!("chain-figures-ring-plan"),
                Numbers::told(text!(
                    "chain-figures-rings-mm",
                    rings_to_make_n = self.rings_to_make_n,
                    off_the_spool_mm = shown(self.off_the_spool_mm, 0)
                )),
            )
            .assumes(
                text!("chain-figures-from-ring-plan"),
                text!("chain-figures-from-ring-plan"),
                TALLY.as_str(),
            );
        let mass =
            figure("mass", question, text!("chain-figures-one-chain-weighs"), shown(self.mass_g, 1), "g")
                .more(text!("chain-figures-wire-in", wire_length_mm = of_wire(self.wire_length_mm, unit)))
                .says(text!("chain-figures-its-rings-without-clasp"))
                .formula(
                    text!("chain-figures-rings-wire-in-ring-mass"),
                    Numbers::told(text!(
                        "chain-figures-mm-wire-g",
                        wire_length_mm = shown(self.wire_length_mm, 0),
                        mass_g = shown(self.mass_g, 2)
                    )),
                )
                .assumes(
                    text!("chain-figures-bending-does-not-change-volume"),
                    text!("chain-figures-2-twice-that-wires-size"),
                    TALLY.as_str(),
                );
        let minutes = figure("minutes", question, text!("chain-figures-at-bench"), shown(minutes, 0), "min")
            .more(text!(
                "chain-figures-for-rings-included",
                chains_n = text!("count-chain", n = request.chains_n)
            ))
            .says(text!("chain-figures-winding-cutting-closing-opening-weaving"))
            .formula(
                text!("chain-figures-sum-over-steps"),
                Numbers::told(text!("chain-figures-min", minutes = shown(minutes, 0))),
            )
            .assumes(
                text!("chain-figures-practised-hand-until-your-own"),
                text!("chain-figures-people-differ-by-half-as"),
                TALLY.as_str(),
            );
        vec![spool, mass, minutes]
    }

    fn will_it_hold(&self) -> Figure {
        let first = self.clasp_opens_n.map_or(self.rings_open_n, |clasp| clasp.min(self.rings_open_n));
        let (weight, unit) = weight_that_pulls(first);
        let (formula, numbers) = match self.clasp_opens_n.filter(|clasp| *clasp < self.rings_open_n) {
            Some(clasp) => (text!("chain-figures-clasps-own"), num(clasp, 2).comes_to(2, "N")),
            None => (
                text!("chain-figures-strands-times-one-ring"),
                (count(self.strands_n) * num(self.rings_open_n / f64::from(self.strands_n), 3))
                    .comes_to(2, "N"),
            ),
        };
        figure("opens-at", Question::WillItHold, text!("chain-figures-starts-open-at-about"), weight, unit)
            .more(self.opens_first.clone())
            .says(text!("chain-figures-pull-at-which-gap-first"))
            .formula(formula, numbers)
            .assumes(
                text!("chain-figures-rings-side-by-side-share"),
                text!("chain-figures-40-estimate-not-rating"),
                PLASTIC.as_str(),
            )
    }
}
