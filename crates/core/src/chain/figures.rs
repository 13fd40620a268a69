//! The figures of a chain, each with its working.

use super::{ChainPlan, ChainRequest, Suits};
use crate::figure::{Figure, Level, Question, figure};
use crate::making::holds::FIRST_SET;
use crate::wire::strength::weight_that_pulls;
use crate::words::counted;
use crate::words::length::{LengthUnit, caliper, long_length, shown};
use crate::words::scale::of_wire;
use crate::working::{Numbers, count, num, plain};

const CONTACT: &str = "Rings as tori that touch: the longest repeat at which nothing overlaps and exactly \
                       the listed pairs are linked, found by sequential linear programs from several starts.";
const TALLY: &str = "Counting.";
const PLASTIC: &str = "Plastic hinge opposite the gap. Rings side by side share the load.";

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
                "{} pre-closed, {} open; {}",
                self.shut_before_n,
                self.open_n,
                counted(self.cells_n, "row")
            ))
            .says("Rings in the chain itself: whole repeats, as near to the length as possible.")
            .formula(
                "repeats × rings in a repeat",
                [self.rings_per_cell, self.across_n]
                    .into_iter()
                    .filter(|n| *n > 1)
                    .fold(count(self.cells_n), |all, n| all * count(n))
                    .comes_to(0, ""),
            )
            .assumes(
                "No two linked rings are both pre-closed.",
                "Exact, within half a repeat of length.",
                TALLY,
            );
        let make = figure("rings-to-make", question, "rings to make", self.rings_to_make_n.to_string(), "")
            .more(format!("{} % scrap, {} spare", shown(request.spoiled_share * 100.0, 1), request.spares_n))
            .says("Includes the usual scrap from opening and closing, and a few spares for repairs.")
            .formula(
                "rings × chains × (1 + scrap) + spares",
                (count(self.rings_n) * count(chains) * plain(1.0 + request.spoiled_share)
                    + count(request.spares_n))
                .comes_to(2, "")
                .so(&self.rings_to_make_n.to_string()),
            )
            .assumes("Set in your workshop settings.", "A habit, not a law.", TALLY);
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
                "{spread}; {} {word} than asked: whole rows only",
                caliper((off.abs() * 10.0).round() / 10.0, unit)
            )
        } else {
            spread
        };
        let length = figure("chain-length", question, "finished length", shown(finished, 1), "mm")
            .ruler(finished)
            .more(more)
            .says("Pulled taut, with the clasp if there is one. Lying loose it is shorter.")
            .formula(
                "repeats × length of one + clasp",
                (count(self.cells_n) * num(self.repeat_mm, 3) + num(self.clasp_mm, 1)).comes_to(1, "mm"),
            )
            .assumes(
                "Rings round and equal. The clasp pulled straight.",
                format!(
                    "± {} mm, one standard deviation: what all rings of a coil share (metal, wire, kerf). \
                     Differences from ring to ring even out over {} rings.",
                    shown(self.chain_length_spread_mm, 1),
                    self.rings_n
                ),
                CONTACT,
            );
        let level = match self.suits {
            Suits::Stiff | Suits::Floppy => Some(Level::Watch),
            _ => None,
        };
        let mut ratio = figure(
            "aspect-ratio",
            question,
            "aspect ratio",
            format!("{:.1}", self.aspect_ratio),
            "",
        )
        .more(format!("{}; {:.2} at least", self.suits.shown(), self.smallest_ratio))
        .says(format!(
            "The aspect ratio of your finished rings, after springback, kerf and closing. Usual is \
                     about {} to {}.",
            shown(self.usual_ratio[0], 1),
            shown(self.usual_ratio[1], 1)
        ))
        .formula("ID / d", (num(self.ring_inside_mm, 3) / num(request.ring.wire.size_mm, 3)).comes_to(3, ""))
        .assumes(
            "The usual range is our own judgement. The smallest is calculated.",
            "The smallest ratio found is an upper limit: another arrangement could go a little lower.",
            CONTACT,
        );
        ratio.level = level;
        let repeat = figure("repeat", question, "one repeat", shown(self.repeat_mm, 2), "mm")
            .ruler(self.repeat_mm)
            .says("From one repeat to the next, pulled taut.")
            .formula(
                "longest shift without overlap",
                Numbers::told(format!(
                    "{} mm, found for rings {} mm inside",
                    shown(self.repeat_mm, 3),
                    shown(self.ring_inside_mm, 3)
                )),
            )
            .assumes("Pulled taut, no friction.", "0.5 % of the repeat, plus the ring's own ±.", CONTACT);
        let [wide, deep] = self.across_mm;
        let across = figure(
            "chain-across",
            question,
            "width",
            format!("{} × {}", shown(wide, 1), shown(deep, 1)),
            "mm",
        )
        .says("How wide the chain is, pulled taut.")
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
            .says("For all rings, with kerf, tails and uneven ends, as in the ring plan.")
            .formula(
                "ring plan",
                Numbers::told(format!(
                    "{} rings: {} mm",
                    self.rings_to_make_n,
                    shown(self.off_the_spool_mm, 0)
                )),
            )
            .assumes("From the ring plan.", "From the ring plan.", TALLY);
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
            .assumes(
                "Bending does not change the volume of the wire.",
                "± 2 %, twice that of the wire's size.",
                TALLY,
            );
        let minutes = figure("minutes", question, "at the bench", shown(minutes, 0), "min")
            .more(format!("for {}, rings included", counted(request.chains_n, "chain")))
            .says("Winding, cutting, closing, opening and weaving.")
            .formula("sum over the steps", Numbers::told(format!("{} min", shown(minutes, 0))))
            .assumes(
                "A practised hand, until your own times are known.",
                "People differ by half as much again.",
                TALLY,
            );
        vec![spool, mass, minutes]
    }

    fn will_it_hold(&self) -> Figure {
        let first = self.clasp_opens_n.map_or(self.rings_open_n, |clasp| clasp.min(self.rings_open_n));
        let (weight, unit) = weight_that_pulls(first);
        figure("opens-at", Question::WillItHold, "starts to open at about", weight, unit)
            .more(self.opens_first.clone())
            .says("Pull at which a gap first stays open a little. Unsoldered rings give way by opening.")
            .formula(
                "0.6 · strands · Mp/R",
                (num(FIRST_SET, 1) * count(self.strands_n) * num(self.one_ring_opens_n, 3)).comes_to(2, "N"),
            )
            .assumes(
                "Rings side by side share the load evenly; in a kinked chain they don't.",
                "± 40 %. An estimate, not a rating.",
                PLASTIC,
            )
    }
}
