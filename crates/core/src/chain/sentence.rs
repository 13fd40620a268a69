//! A chain's sentence: the words it is stated in, and which input each writes to.

use super::{ChainRequest, RingSize};
use crate::ring::sentence::{Slot as RingSlot, field_of as ring_field_of};
use crate::tool::cutting::Method;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, caliper, inch_fraction, shown};
use crate::words::sentence::Phrase;
use crate::words::words;
use lorimant_text::text;

words! {
    /// An input of a chain that is a word of its sentence.
    pub enum ChainSlot ("chain-slot") {
        /// How many chains.
        Chains = "chains";
        /// How long.
        Length = "length";
        /// Which weave.
        Weave = "weave";
        /// How many cells across, of a sheet.
        Across = "across";
        /// Temper of its wire.
        Temper = "temper";
        /// Metal of its wire.
        Metal = "metal";
        /// Size of its wire.
        Size = "size";
        /// The lot its wire is off, where it was said.
        Lot = "lot";
        /// How its rings are wound.
        Winding = "winding";
        /// The rod of its rings.
        Mandrel = "mandrel";
        /// How the coil is cut.
        Cutting = "cutting";
        /// The saw blade.
        Blade = "blade";
        /// Whether the second part has rings of its own.
        Second = "second";
        /// Metal of the second part's wire.
        SecondMetal = "second-metal";
        /// Size of the second part's wire.
        SecondSize = "second-size";
        /// The rod of the second part's rings.
        SecondMandrel = "second-mandrel";
        /// The clasp.
        Clasp = "clasp";
        /// By how much it is made shorter.
        Ease = "ease";
        /// Spare rings.
        Spares = "spares";
        /// What share of the rings is expected to be scrapped.
        Scrapped = "scrap";
    }
}

impl ChainSlot {
    /// The word of a ring plan's sentence that it is, and whether of the second part; none for words of the chain's own.
    #[must_use]
    pub fn of_ring(self) -> Option<(RingSlot, bool)> {
        Some(match self {
            Self::Temper => (RingSlot::Temper, false),
            Self::Metal => (RingSlot::Metal, false),
            Self::Size => (RingSlot::Size, false),
            Self::Lot => (RingSlot::Lot, false),
            Self::Winding => (RingSlot::Winding, false),
            Self::Mandrel => (RingSlot::Mandrel, false),
            Self::Cutting => (RingSlot::Cutting, false),
            Self::Blade => (RingSlot::Blade, false),
            Self::SecondMetal => (RingSlot::Metal, true),
            Self::SecondSize => (RingSlot::Size, true),
            Self::SecondMandrel => (RingSlot::Mandrel, true),
            _ => return None,
        })
    }
}

/// The field a word of the sentence writes to.
///
/// ```
/// use lorimant_core::chain::sentence::{ChainSlot, field_of};
///
/// assert_eq!(field_of(ChainSlot::Mandrel), "ring.mandrel.diameter_mm");
/// ```
#[must_use]
pub fn field_of(slot: ChainSlot) -> String {
    if let Some((ring, second)) = slot.of_ring() {
        return format!("{}.{}", if second { "second_ring" } else { "ring" }, ring_field_of(ring));
    }
    match slot {
        ChainSlot::Chains => "chains_n",
        ChainSlot::Length => "length_mm",
        ChainSlot::Weave => "weave",
        ChainSlot::Across => "across_n",
        ChainSlot::Clasp => "clasp",
        ChainSlot::Ease => "ease_mm",
        ChainSlot::Spares => "spares_n",
        ChainSlot::Scrapped => "scrap_share",
        _ => "second_ring",
    }
    .to_owned()
}

/// A chain's length as it is said: in centimetres, or in inches.
///
/// ```
/// use lorimant_core::chain::sentence::length_told;
/// use lorimant_core::words::length::LengthUnit;
///
/// assert_eq!(length_told(420.0, LengthUnit::Mm), "42 cm");
/// assert_eq!(length_told(190.5, LengthUnit::Inch), "7 1/2 in");
/// ```
#[must_use]
pub fn length_told(mm: f64, unit: LengthUnit) -> String {
    match unit {
        LengthUnit::Mm if mm.abs() >= 100.0 => text!("chain-sentence-cm", mm = shown(mm / 10.0, 1)),
        LengthUnit::Mm => text!("chain-sentence-mm", mm = shown(mm, 1)),
        LengthUnit::Inch => match inch_fraction(mm) {
            Some(fraction) => text!("chain-sentence-in", fraction),
            None => text!("chain-sentence-in-2", mm = shown(mm / MM_PER_INCH, 2)),
        },
    }
}

/// Writes a request, with the ring it takes where that is known, in the unit read first.
///
/// ```
/// use lorimant_core::chain::ChainRequest;
/// use lorimant_core::chain::sentence::write;
/// use lorimant_core::ring::RingRequest;
/// use lorimant_core::tool::mandrel::Mandrel;
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::words::length::LengthUnit;
/// use lorimant_core::words::sentence::text;
///
/// let wire = Wire::round(Metal::RedBrass, 1.2, Temper::QuarterHard);
/// let chain = ChainRequest::new("byzantine", RingRequest::new(wire, Mandrel::round(5.0), 1), 420.0);
/// let said = text(&write(&chain, None, LengthUnit::Mm));
/// assert!(said.starts_with("1 chain of 42 cm in Byzantine from quarter-hard red brass, round 1.2 mm, rings"), "{said}");
/// ```
#[must_use]
pub fn write(request: &ChainRequest, size: Option<RingSize>, unit: LengthUnit) -> Vec<Phrase> {
    let mut phrases: Vec<Phrase> = vec![];
    let mut say = |between: &str, text: String, slot: ChainSlot| {
        if !between.is_empty() {
            phrases.push(Phrase { text: between.to_owned(), slot: None, field: None });
        }
        phrases.push(Phrase { text, slot: Some(slot.word()), field: Some(field_of(slot)) });
    };
    let design = request.design().ok();
    let sheet = design.is_some_and(super::weave::Weave::is_sheet);
    let wire = &request.ring.wire;
    say("", text!("count-chain", n = request.chains_n), ChainSlot::Chains);
    say(text!("sentence-of"), length_told(request.length_mm, unit), ChainSlot::Length);
    let weave = design.map_or_else(|| request.weave.clone(), |design| design.name.clone());
    say(text!("sentence-in"), weave, ChainSlot::Weave);
    if sheet {
        say(
            ", ",
            text!("chain-sentence-across", across_n = text!("count-cell", n = request.across_n)),
            ChainSlot::Across,
        );
    }
    say(text!("sentence-from"), wire.temper.shown().to_owned(), ChainSlot::Temper);
    say(" ", wire.metal_shown(), ChainSlot::Metal);
    say(text!("chain-sentence-round"), wire.size_shown(unit), ChainSlot::Size);
    if let Some(lot) = wire.lot {
        say(", ", lot.shown(), ChainSlot::Lot);
    }
    say(text!("chain-sentence-rings-wound"), request.ring.winding.shown().to_owned(), ChainSlot::Winding);
    say(text!("chain-sentence-on"), request.ring.mandrel.shown_in(unit), ChainSlot::Mandrel);
    let cut = match request.ring.cutting.method {
        Method::SingleSnip => text!("chain-sentence-snipped-once").to_owned(),
        method => method.shown().to_owned(),
    };
    say(text!("sentence-and"), cut, ChainSlot::Cutting);
    if request.ring.cutting.method == Method::Saw {
        say(
            text!("chain-sentence-with"),
            text!("chain-sentence-blade", cutting = request.ring.cutting.blade_for(wire.size_mm)),
            ChainSlot::Blade,
        );
    }
    if let Some(second) = &request.second_ring {
        let part = design.and_then(|design| design.parts().get(1).map(|part| (*part).to_owned()));
        say(
            "; ",
            text!(
                "chain-sentence-rings",
                part = part.unwrap_or_else(|| text!("chain-sentence-second-part").to_owned())
            ),
            ChainSlot::Second,
        );
        say(text!("sentence-of"), second.wire.metal_shown(), ChainSlot::SecondMetal);
        say(", ", second.wire.size_shown(unit), ChainSlot::SecondSize);
        say(text!("chain-sentence-on"), second.mandrel.shown_in(unit), ChainSlot::SecondMandrel);
    }
    let clasp = request.clasp.as_ref().map_or_else(
        || text!("chain-sentence-no-clasp").to_owned(),
        |clasp| {
            let name = clasp.kind.0.name;
            let an = name.starts_with(['a', 'e', 'i', 'o', 'S']);
            text!("chain-sentence-clasp", an, name)
        },
    );
    say(text!("chain-sentence-with-2"), clasp, ChainSlot::Clasp);
    let ease = if request.ease_mm == 0.0 {
        text!("chain-sentence-no-ease").to_owned()
    } else {
        text!("chain-sentence-ease", ease_mm = length_told(request.ease_mm, unit))
    };
    say(", ", ease, ChainSlot::Ease);
    say(", ", text!("count-spare-ring", n = request.spares_n), ChainSlot::Spares);
    say(
        text!("sentence-and"),
        text!("chain-sentence-scrap", scrap_share = shown(request.scrap_share * 100.0, 1)),
        ChainSlot::Scrapped,
    );
    if let Some(size) = size {
        phrases.push(Phrase {
            text: text!("chain-sentence-rings-inside", inside_mm = caliper(size.inside_mm, unit)),
            slot: None,
            field: None,
        });
    }
    phrases.push(Phrase { text: ".".to_owned(), slot: None, field: None });
    phrases
}
