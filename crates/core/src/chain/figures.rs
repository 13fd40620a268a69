//! The figures of a chain, each with its working.

use super::{ChainPlan, ChainRequest, Suits};
use crate::figure::{Figure, Level, Question, figure};
use crate::making::holds::FIRST_SET;
use crate::words::counted;
use crate::words::length::{LengthUnit, caliper, long_length, shown};
use crate::words::scale::of_wire;
use crate::working::{Numbers, count, num, plain};

const CONTACT: &str = "Rings as tori that touch: the longest repeat at which nothing overlaps and exactly the listed pairs \
                       are linked, by sequential linear programs from several starts.";
const TALLY: &str = "Counting.";
const PLASTIC: &str = "Plastic hinge opposite the gap, the rings of one place sharing the load.";

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
        let rings = figure("rings", question, "rings in it", self.rings_n.to_string(), "")
            .more(format!(
                "{} shut beforehand, {} open; {}",
                self.shut_before_n,
                self.open_n,
                counted(self.cells_n, "row")
            ))
            .says("Rings of the chain itself: whole cells, as many as come nearest to the length.")
            .formula(
                "cells × rings a cell",
                [self.rings_per_cell, self.across_n]
                    .into_iter()
                    .filter(|n| *n > 1)
                    .fold(count(self.cells_n), |all, n| all * count(n))
                    .comes_to(0, ""),
            )
            .assumes(
                "No two linked rings are shut beforehand.",
                "Exact; half a repeat of length at most.",
                TALLY,
            );
        let make = figure("rings-to-make", question, "rings to make", self.rings_to_make_n.to_string(), "")
            .more(format!(
                "{} % reckoned spoiled, {} spare",
                shown(request.spoiled_share * 100.0, 1),
                request.spares_n
            ))
            .says("With what is usually spoiled in opening and closing, and some kept for mending.")
            .formula(
                "rings × chains × (1 + spoiled) + spares",
                (count(self.rings_n) * count(chains) * plain(1.0 + request.spoiled_share)
                    + count(request.spares_n))
                .comes_to(2, "")
                .so(&self.rings_to_make_n.to_string()),
            )
            .assumes("The workshop's own share, to be changed.", "A habit, not a law.", TALLY);
        vec![rings, make]
    }

    fn in_your_hand(&self, request: &ChainRequest, unit: LengthUnit) -> Vec<Figure> {
        let question = Question::InYourHand;
        let finished = self.finished_length_mm;
        let spread =
            format!("± {}", caliper((self.chain_length_spread_mm.max(0.1) * 10.0).round() / 10.0, unit));
        let off = finished - (request.length_mm - request.ease_mm);
        let word = if off > 0.0 { "longer" } else { "shorter" };
        let more = if off.abs() > 1.0 {
            format!(
                "{spread}; {} {word} than asked: whole rows",
                caliper((off.abs() * 10.0).round() / 10.0, unit)
            )
        } else {
            spread
        };
        let length = figure("chain-length", question, "finished length", shown(finished, 1), "mm")
            .ruler(finished)
            .more(more)
            .says("Pulled taut, clasp included where there is one. Lying loose it is shorter.")
            .formula(
                "cells × repeat + clasp",
                (count(self.cells_n) * num(self.repeat_mm, 3) + num(self.clasp_mm, 1)).comes_to(1, "mm"),
            )
            .assumes(
                "Rings round and all alike; the clasp pulled straight.",
                format!(
                    "± {} mm, one standard deviation, from what all rings of a coil share: metal, wire and kerf. What \
                     differs from ring to ring evens out over {} rings.",
                    shown(self.chain_length_spread_mm, 1),
                    self.rings_n
                ),
                CONTACT,
            );
        let level = match self.suits {
            Suits::Stiff | Suits::Floppy => Some(Level::Watch),
            _ => None,
        };
        let mut ratio =
            figure("aspect-ratio", question, "inside Ø to wire", format!("{:.2}", self.aspect_ratio), "")
                .more(format!("{}; {:.2} at least", self.suits.shown(), self.smallest_ratio))
                .says(format!(
                    "What is left of the ratio in your own rings after springback, kerf and closing. Usual is {} to {}, \
                     about.",
                    shown(self.usual_ratio[0], 1),
                    shown(self.usual_ratio[1], 1)
                ))
                .formula(
                    "ID / d",
                    (num(self.ring_inside_mm, 3) / num(request.ring.wire.size_mm, 3)).comes_to(3, ""),
                )
                .assumes(
                    "What is usual is our own judgement; the smallest is worked out.",
                    "The smallest ratio found is an upper bound: a better pose could go a little below.",
                    CONTACT,
                );
        ratio.level = level;
        let repeat = figure("repeat", question, "one repeat", shown(self.repeat_mm, 2), "mm")
            .ruler(self.repeat_mm)
            .says("From a cell to the next, taut.")
            .formula(
                "longest shift without overlap",
                Numbers::told(format!(
                    "{} mm, found for rings of {} mm inside",
                    shown(self.repeat_mm, 3),
                    shown(self.ring_inside_mm, 3)
                )),
            )
            .assumes(
                "Pulled taut, no friction.",
                "0.5 % of the repeat, and what the ring's own ± makes of it.",
                CONTACT,
            );
        let [wide, deep] = self.across_mm;
        let across = figure(
            "chain-across",
            question,
            "across it",
            format!("{} × {}", shown(wide, 1), shown(deep, 1)),
            "mm",
        )
        .says("How far it reaches to either side of its length, taut.")
        .formula(
            "outermost wire to outermost wire",
            Numbers::told(format!("{} and {} mm", shown(wide, 2), shown(deep, 2))),
        )
        .assumes("Pulled taut.", "As the ring.", CONTACT);
        vec![length, ratio, repeat, across]
    }

    fn off_the_spool(&self, request: &ChainRequest, minutes: f64, unit: LengthUnit) -> Vec<Figure> {
        let question = Question::OffTheSpool;
        let (wire, wire_unit) = long_length(self.off_the_spool_mm);
        let spool = figure("wire", question, "wire off the spool", wire, wire_unit)
            .ruler(self.off_the_spool_mm)
            .more(format!("{} g in all; {}", shown(self.off_the_spool_g, 1), counted(self.coils_n, "coil")))
            .says("For all rings to make, with kerf, tails and ragged ends, as the ring plan behind it has them.")
            .formula("ring plan", Numbers::told(format!("{} rings: {} mm", self.rings_to_make_n, shown(self.off_the_spool_mm, 0))))
            .assumes("As the ring plan.", "As the ring plan.", TALLY);
        let mass = figure("mass", question, "one chain weighs", shown(self.mass_g, 1), "g")
            .more(format!("{} of wire in it", of_wire(self.wire_length_mm, unit)))
            .says("Its rings, without the clasp.")
            .formula(
                "rings × wire in a ring × mass of a length",
                Numbers::told(format!(
                    "{} mm of wire: {} g",
                    shown(self.wire_length_mm, 0),
                    shown(self.mass_g, 2)
                )),
            )
            .assumes("Wire keeps its volume.", "± 2 %, twice that of the wire's size.", TALLY);
        let minutes = figure("minutes", question, "at the bench", shown(minutes, 0), "min")
            .more(format!("for {}, rings included", counted(request.chains_n, "chain")))
            .says("Winding, cutting, shutting, opening and putting in.")
            .formula("sum over the steps", Numbers::told(format!("{} min", shown(minutes, 0))))
            .assumes(
                "A practised hand, until the workshop's own times are known.",
                "Hands differ by half as much again.",
                TALLY,
            );
        vec![spool, mass, minutes]
    }

    fn will_it_hold(&self) -> Figure {
        let first = self.clasp_opens_n.map_or(self.rings_open_n, |clasp| clasp.min(self.rings_open_n));
        figure("opens-at", Question::WillItHold, "opens at about", shown(first, 1), "N")
            .more(self.opens_first.clone())
            .says("Load at which a gap first stays open a little. Unsoldered rings open; that is what a chain gives way by.")
            .formula(
                "0.6 · strands · Mp/R",
                (num(FIRST_SET, 1) * count(self.strands_n) * num(self.one_ring_opens_n, 3)).comes_to(2, "N"),
            )
            .assumes(
                "The rings of one place share the load evenly; in a kinked chain they do not.",
                "± 40 %. An estimate, not a rating.",
                PLASTIC,
            )
    }
}
