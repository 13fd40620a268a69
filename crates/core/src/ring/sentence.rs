//! A ring plan's sentence: the words it is stated in, and which input each writes to.

use super::{RingPlan, RingRequest};
use crate::tool::cutting::Method;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, caliper, caliper_number, shown};
use crate::words::sentence::Phrase;
use crate::words::words;
use lorimant_text::text;

words! {
    /// An input of a ring plan that is a word of its sentence.
    pub enum Slot ("slot") {
        /// How many rings.
        Rings = "rings";
        /// Temper.
        Temper = "temper";
        /// Metal.
        Metal = "metal";
        /// Section.
        Section = "section";
        /// Wire size.
        Size = "size";
        /// The spool it is taken from.
        Lot = "lot";
        /// How often it is pulled straight.
        Pulls = "pulls";
        /// How it is wound.
        Winding = "winding";
        /// The rod.
        Mandrel = "mandrel";
        /// How the coil is cut.
        Cutting = "cutting";
        /// The saw blade.
        Blade = "blade";
        /// What the rings are hammered to.
        Hammered = "hammered";
        /// What is put into the route, or left out of it.
        Making = "making";
        /// The ring wanted, backwards.
        Inside = "inside";
    }
}

/// The field a word of the sentence writes to.
///
/// ```
/// use lorimant_core::ring::sentence::{Slot, field_of};
///
/// assert_eq!(field_of(Slot::Size), "wire.size_mm");
/// ```
pub fn field_of(slot: Slot) -> &'static str {
    match slot {
        Slot::Rings => "rings_n",
        Slot::Temper => "wire.temper",
        Slot::Metal => "wire.metal",
        Slot::Section => "wire.section",
        Slot::Size => "wire.size_mm",
        Slot::Lot => "wire.lot.lot_n",
        Slot::Pulls => "pulls_n",
        Slot::Hammered => "hammered_mm",
        Slot::Making => "route",
        Slot::Winding => "winding",
        Slot::Mandrel => "mandrel.diameter_mm",
        Slot::Cutting => "cutting.method",
        Slot::Blade => "cutting.blade",
        Slot::Inside => "target_inside_diameter_mm",
    }
}

/// Writes a request, with the ring it gives where that is known, in the unit read first.
///
/// ```
/// use lorimant_core::ring::RingRequest;
/// use lorimant_core::tool::mandrel::Mandrel;
/// use lorimant_core::wire::Wire;
/// use lorimant_core::wire::metal::{Metal, Temper};
/// use lorimant_core::words::length::LengthUnit;
/// use lorimant_core::ring::sentence::write;
/// use lorimant_core::words::sentence::text;
///
/// let wire = Wire::round(Metal::Copper, 1.0, Temper::Soft);
/// let request = RingRequest::new(wire, Mandrel::round(5.0), 1);
/// let said = text(&write(&request, None, LengthUnit::Mm));
/// assert!(said.starts_with("1 ring of soft copper, round 1 mm, wound by hand on the 5 mm rod"), "{said}");
/// ```
pub fn write(request: &RingRequest, plan: Option<&RingPlan>, unit: LengthUnit) -> Vec<Phrase> {
    let mut pieces = vec![];
    let mut word = |slot: Slot, text: String| pieces.push((text, Some(slot)));
    let wire = &request.wire;
    word(Slot::Rings, text!("count-ring", n = request.rings_n));
    word(Slot::Temper, wire.temper.shown().to_owned());
    word(Slot::Metal, wire.metal_shown());
    word(Slot::Section, wire.section.shown().to_owned());
    word(Slot::Size, wire.size_shown(unit));
    if let Some(lot) = wire.lot {
        word(Slot::Lot, lot.shown());
    }
    if request.pulls_n > 0 {
        word(
            Slot::Pulls,
            text!("ring-sentence-pulled-straight", pulls_n = text!("count-time", n = request.pulls_n)),
        );
    }
    word(Slot::Winding, request.winding.shown().to_owned());
    word(Slot::Mandrel, request.mandrel.shown_in(unit));
    let filed = if request.cutting.filed { text!("ring-sentence-filed") } else { "" };
    match request.cutting.method {
        Method::SingleSnip => word(Slot::Cutting, text!("ring-sentence-snipped-once", filed)),
        method => word(Slot::Cutting, method.shown().to_owned()),
    }
    if request.cutting.method == Method::Saw {
        word(Slot::Blade, text!("ring-sentence-blade", cutting = request.cutting.blade_for(wire.size_mm)));
    }
    if let Some(to_mm) = request.hammered_mm {
        // What inches round stands exactly in brackets, as for the wire's own size.
        let thin = match unit {
            LengthUnit::Mm => text!("ring-sentence-mm", to_mm = shown(to_mm, 3)),
            LengthUnit::Inch => {
                text!("ring-sentence-in-mm", to_mm = shown(to_mm / MM_PER_INCH, 5), to_mm2 = shown(to_mm, 3))
            }
        };
        word(Slot::Hammered, text!("ring-sentence-hammered", thin));
    }
    if let Some(plan) = plan {
        let short = plan.ring_inside_short_mm;
        let one_way = (plan.ring_inside_diameter_mm - short).abs() < 1e-9;
        let inside = plan.ring_inside_diameter_mm;
        let text = if one_way {
            text!("ring-sentence-inside", inside = caliper(inside, unit))
        } else {
            text!(
                "ring-sentence-inside-2",
                inside = caliper_number(inside, unit),
                short = caliper(short, unit)
            )
        };
        word(Slot::Inside, text);
    }
    join(pieces)
}

/// Puts the words between the inputs.
fn join(inputs: Vec<(String, Option<Slot>)>) -> Vec<Phrase> {
    let before = |slot: Slot| match slot {
        Slot::Rings => "",
        Slot::Temper => text!("sentence-of"),
        Slot::Metal | Slot::Size => " ",
        Slot::Section => ", ",
        Slot::Lot | Slot::Pulls | Slot::Hammered => ", ",
        Slot::Winding => text!("ring-sentence-wound"),
        Slot::Mandrel => text!("ring-sentence-on"),
        Slot::Cutting => text!("sentence-and"),
        Slot::Blade => text!("ring-sentence-with"),
        // Making is said step by step, not in the sentence.
        Slot::Making => "",
        Slot::Inside => ": ",
    };
    let mut pieces = vec![];
    for (text, slot) in inputs {
        let between = slot.map_or("", before);
        if !between.is_empty() {
            pieces.push(Phrase { text: between.to_owned(), slot: None, field: None });
        }
        pieces.push(Phrase {
            text,
            slot: slot.map(Slot::word),
            field: slot.map(|slot| field_of(slot).to_owned()),
        });
    }
    pieces.push(Phrase { text: ".".to_owned(), slot: None, field: None });
    pieces
}
