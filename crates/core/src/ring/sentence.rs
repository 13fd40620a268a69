//! A ring plan's sentence: the words it is stated in, and which input each writes to.

use super::{RingPlan, RingRequest};
use crate::tool::cutting::Method;
use crate::words::gauge::MM_PER_INCH;
use crate::words::length::{LengthUnit, caliper, caliper_number, shown};
use crate::words::sentence::Phrase;
use crate::words::{counted, words};

words! {
    /// An input of a ring plan that is a word of its sentence.
    pub enum Slot ("word of the sentence") {
        /// How many rings.
        Rings = "rings", "how many";
        /// Temper.
        Temper = "temper", "temper";
        /// Metal.
        Metal = "metal", "metal";
        /// Section.
        Section = "section", "section";
        /// Wire size.
        Size = "size", "wire size";
        /// The spool it is taken from.
        Lot = "lot", "lot";
        /// How often it is pulled straight.
        Pulls = "pulls", "pulls";
        /// How it is wound.
        Winding = "winding", "winding";
        /// The rod.
        Mandrel = "mandrel", "rod";
        /// How the coil is cut.
        Cutting = "cutting", "cutting";
        /// The saw blade.
        Blade = "blade", "blade";
        /// What the rings are hammered to.
        Hammered = "hammered", "hammering";
        /// What is put into the route, or left out of it.
        Making = "making", "making";
        /// The ring wanted, backwards.
        Inside = "inside", "ring inside";
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
    word(Slot::Rings, counted(request.rings_n, "ring"));
    word(Slot::Temper, wire.temper.shown().to_owned());
    word(Slot::Metal, wire.metal_shown());
    word(Slot::Section, wire.section.shown().to_owned());
    word(Slot::Size, wire.size_shown(unit));
    if let Some(lot) = wire.lot {
        word(Slot::Lot, lot.shown());
    }
    if request.pulls_n > 0 {
        word(Slot::Pulls, format!("pulled straight {}", counted(request.pulls_n, "time")));
    }
    word(Slot::Winding, request.winding.shown().to_owned());
    word(Slot::Mandrel, request.mandrel.shown_in(unit));
    let filed = if request.cutting.filed { " and filed" } else { "" };
    match request.cutting.method {
        Method::SingleSnip => word(Slot::Cutting, format!("snipped once{filed}")),
        method => word(Slot::Cutting, method.shown().to_owned()),
    }
    if request.cutting.method == Method::Saw {
        word(Slot::Blade, format!("{} blade", request.cutting.blade_for(wire.size_mm)));
    }
    if let Some(to_mm) = request.hammered_mm {
        // What inches round stands exactly in brackets, as for the wire's own size.
        let thin = match unit {
            LengthUnit::Mm => format!("{} mm", shown(to_mm, 3)),
            LengthUnit::Inch => format!("{} in ({} mm)", shown(to_mm / MM_PER_INCH, 5), shown(to_mm, 3)),
        };
        word(Slot::Hammered, format!("hammered to {thin}"));
    }
    if let Some(plan) = plan {
        let short = plan.ring_inside_short_mm;
        let one_way = (plan.ring_inside_diameter_mm - short).abs() < 1e-9;
        let inside = plan.ring_inside_diameter_mm;
        let text = if one_way {
            format!("{} inside", caliper(inside, unit))
        } else {
            format!("{} × {} inside", caliper_number(inside, unit), caliper(short, unit))
        };
        word(Slot::Inside, text);
    }
    join(pieces)
}

/// Puts the words between the inputs.
fn join(inputs: Vec<(String, Option<Slot>)>) -> Vec<Phrase> {
    let before = |slot: Slot| match slot {
        Slot::Rings => "",
        Slot::Temper => " of ",
        Slot::Metal | Slot::Size => " ",
        Slot::Section => ", ",
        Slot::Lot | Slot::Pulls | Slot::Hammered => ", ",
        Slot::Winding => ", wound ",
        Slot::Mandrel => " on the ",
        Slot::Cutting => " and ",
        Slot::Blade => " with a ",
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
