//! Parts that several findings share: rolled loops, wrapped loops, kicked tips.

use crate::fault::Fault;
use crate::shape::closing::{bend_back_deg, on_neck_deg, on_stem_deg};
use crate::shape::{Course, Segment};
use lorimant_text::{Text, text};

use crate::words::length::both;

use super::Parameter;
use super::design::{Closure, Design, Opening};
use crate::making::Operation;

/// Inside of the small bend that turns a tip aside, in thicknesses of the wire.
pub const KICK: f64 = 3.0;
/// Inside of the neck under a loop that stands centred over its stem, in thicknesses.
pub const NECK: f64 = 1.0;
/// Tail to hold while wrapping, mm.
pub const WRAP_TAIL_MM: f64 = 10.0;

/// Counting rules for wraps, and what they are called.
pub const COUNTED: &[Text] =
    &[Text::named("pattern-part-full-turns"), Text::named("pattern-part-wires-seen-side-by-side")];

/// Full turns of so many wraps: with wires seen side by side the last is tucked in behind, half a turn
/// before it would show again.
pub fn full_turns(wraps: f64, as_seen: bool) -> f64 {
    if as_seen { (wraps - 0.5).max(0.5) } else { wraps }
}

/// A loop rolled in the plane of its stem, at either end of the wire, to the left or to the `right`.
pub fn plain_loop(f: &mut Design, what: &'static str, inside_mm: f64, right: bool) -> usize {
    flat_loop(f, what, (inside_mm, None), if right { 180.0 } else { 0.0 })
}

/// The same, its end hammered flat first where that is asked for; rolled in a plane turned about the wire.
pub fn flat_loop(
    f: &mut Design,
    what: &'static str,
    (inside_mm, flat): (f64, Option<f64>),
    roll_deg: f64,
) -> usize {
    let angle_deg = on_stem_deg(inside_mm, flat.unwrap_or(f.h()), f.h());
    let index = f.lay(what, Course::Bend { inside_mm, angle_deg, roll_deg, rise_mm: 0.0 });
    f.flatten_first(index, flat);
    f.openings.push(Opening { what, inside_mm, mouth: None });
    // At the near end it lands on what is laid next, at the far end on what was laid before.
    let on = if index == 0 { index + 1 } else { index - 1 };
    f.closures.push(Closure { what, far_end: index > 0, on: Some(on) });
    index
}

/// Thickness that ends are hammered to before they are rolled.
pub const ENDS: Parameter = Parameter::mm(
    "ends_mm",
    Text::named("pattern-part-ends-hammered"),
    [0.0, 0.1, 5.0],
    Text::named("pattern-part-thickness-ends-hammered-before-they"),
)
.or_none(Text::named("pattern-part-ends-not-hammered"));

/// The thickness ends are hammered to before they are rolled; none where they are left round.
///
/// # Errors
/// A fault when that is thicker than the wire.
pub fn flat_ends(f: &Design, thickness_mm: f64) -> Result<Option<f64>, Fault> {
    f.thinner(thickness_mm, "ends_mm")?;
    Ok(Some(thickness_mm).filter(|mm| *mm > 0.0))
}

/// Checks that a straight leg is long enough for the loop rolled onto it to close: its end face lands
/// `√((OD/2)² − (ID/2)²)` along.
///
/// # Errors
/// A fault at the leg's parameter when it is shorter.
pub fn closes_on(
    f: &Design,
    inside_mm: f64,
    leg: &str,
    length_mm: f64,
    parameter: &str,
) -> Result<(), Fault> {
    let h = f.h();
    let least = (h * (inside_mm + h)).sqrt();
    if length_mm >= least {
        return Ok(());
    }
    let least = (least * 100.0).ceil() / 100.0;
    let message = text!(
        "pattern-part-loop-inside-needs-straight-close",
        inside_mm = both(inside_mm),
        least = both(least),
        leg,
        length_mm = both(length_mm)
    );
    Err(Fault::new(format!("parameters.{parameter}"), message).limit(least))
}

/// A loop from the near end that stands centred over the stem that follows: loop, then neck. Gives
/// both.
pub fn centred_loop(f: &mut Design, what: &'static str, inside_mm: f64) -> (usize, usize) {
    let (neck_mm, h) = (NECK * f.h(), f.h());
    let (r, neck) = (f.mean(inside_mm), f.mean(neck_mm));
    let rolled = f.lay(what, Course::left(inside_mm, on_neck_deg(inside_mm, (h, h), neck)));
    let bent = f.lay(text!("part-neck"), Course::right(neck_mm, bend_back_deg(r, neck)));
    f.openings.push(Opening { what, inside_mm, mouth: None });
    f.closures.push(Closure { what, far_end: false, on: Some(bent) });
    (rolled, bent)
}

/// A wrapped loop at the end of a stem: neck, loop crossing in front, wraps down the stem.
pub fn wrapped_loop(f: &Design, inside_mm: f64, turns: f64) -> Vec<Segment> {
    let h = f.h();
    let neck_mm = NECK * h;
    let (r, neck) = (f.mean(inside_mm), f.mean(neck_mm));
    let back = bend_back_deg(r, neck);
    // The loop's lowest point lies this far above the start of the neck; the first half turn of the
    // wraps leads down to there.
    let down = (r * r + 2.0 * neck * r).sqrt() - r;
    let lead = turns.min(0.5);
    let wrap =
        |turns: f64, pitch_mm: f64| Course::Wrap { core_mm: h, turns, pitch_mm: -pitch_mm, roll_deg: -90.0 };
    let mut segments = vec![
        Segment::new(text!("part-neck"), Course::right(neck_mm, back)),
        Segment::new(
            text!("part-loop"),
            Course::Bend { inside_mm, angle_deg: 270.0 + back, roll_deg: 0.0, rise_mm: h },
        ),
        Segment::new(text!("part-wraps"), wrap(lead, (down / 0.5).max(h))),
    ];
    if turns > lead {
        segments.push(Segment::new(text!("part-wraps"), wrap(turns - lead, h)));
    }
    segments
}

/// Height of stem that wraps cover, mm.
pub fn wraps_cover_mm(f: &Design, turns: f64) -> f64 {
    f.h() * (turns + 1.0)
}

/// A tip turned aside: bend and straight end. `left` says which way. Gives both, bend first.
pub fn kicked_tip(f: &mut Design, kick_deg: f64, tip_mm: f64, left: bool) -> (usize, usize) {
    let inside = KICK * f.h();
    let course = if left { Course::left(inside, kick_deg) } else { Course::right(inside, kick_deg) };
    let bend = f.lay(text!("pattern-part-tip-bend"), course);
    let tip = f.lay(text!("part-tip"), Course::straight(tip_mm));
    if kick_deg > 0.0 {
        f.step(Operation::Kick, text!("part-tip"), &[bend]);
    }
    (bend, tip)
}

/// The fault of wraps that need more stem than there is.
pub fn wraps_longer_than(parameter: &str, stem: &str, length_mm: f64, cover_mm: f64) -> Fault {
    let message = text!(
        "pattern-part-wraps-cover-more-than-enter",
        cover_mm = both(cover_mm),
        stem,
        length_mm = both(length_mm),
        cover_mm2 = both((cover_mm * 100.0).ceil() / 100.0)
    );
    Fault::new(format!("parameters.{parameter}"), message).limit(cover_mm)
}
