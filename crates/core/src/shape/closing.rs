//! Where a rolled loop closes: the angles of loops in closed form, degrees.

/// How far a loop is rolled in the plane of its own straight stem until its end face meets the stem:
/// `360° − arccos(ID/OD)`. An end that was hammered thinner before it is rolled, to `end_mm`, lies nearer the loop's
/// middle: `360° − arccos((ID + t − h)/(ID + 2t))`.
///
/// ```
/// use lorimant_core::shape::closing::on_stem_deg;
///
/// // A loop rolled on its stem stops short of a whole turn, where it meets the stem.
/// let turned = on_stem_deg(3.0, 1.0, 1.0);
/// assert!((turned - (360.0 - (3.0_f64 / 5.0).acos().to_degrees())).abs() < 1e-9);
/// ```
pub fn on_stem_deg(inside_mm: f64, end_mm: f64, stem_mm: f64) -> f64 {
    let cos = (inside_mm + end_mm - stem_mm) / (inside_mm + 2.0 * end_mm);
    360.0 - cos.clamp(-1.0, 1.0).acos().to_degrees()
}

/// The same where the stem is itself bent away from the loop, with a mean radius of `neck_mm`.
///
/// The loop's circle and the neck's touch, their centres `R + r` apart. The end face's outer corner,
/// `R + h/2` from the loop's centre, meets the neck's surface, `r + h/2` from its own: the law of
/// cosines gives the angle between. A neck of endless radius is a straight stem. The end may have been hammered to
/// `end_mm` before it was rolled.
pub fn on_neck_deg(inside_mm: f64, (end_mm, stem_mm): (f64, f64), neck_mm: f64) -> f64 {
    let r = inside_mm / 2.0 + end_mm / 2.0;
    let apart = r + neck_mm;
    let (corner, surface) = (r + end_mm / 2.0, neck_mm + stem_mm / 2.0);
    let cos = (corner * corner + apart * apart - surface * surface) / (2.0 * corner * apart);
    360.0 - cos.clamp(-1.0, 1.0).acos().to_degrees()
}

/// How far a stem is bent back so that a loop of mean radius `loop_mm` rolled on from there stands
/// centred over it: `arccos(r/(r + R))`.
///
/// ```
/// use lorimant_core::shape::closing::bend_back_deg;
///
/// // A neck as sharp as nothing is bent back by a right angle.
/// assert!((bend_back_deg(3.0, 0.0) - 90.0).abs() < 1e-9);
/// ```
pub fn bend_back_deg(loop_mm: f64, neck_mm: f64) -> f64 {
    (neck_mm / (neck_mm + loop_mm)).clamp(-1.0, 1.0).acos().to_degrees()
}

/// Straight wire between the two loops of a figure eight whose outsides touch, mm: the inner tangent
/// of two circles `R1 + R2 + h` apart, `sqrt((R1 + R2 + h)² − (R1 + R2)²)`.
///
/// ```
/// // Mean radii of 2 and 3 mm in wire of 1 mm.
/// let crossing = lorimant_core::shape::closing::crossing_mm(2.0, 3.0, 1.0);
/// assert!((crossing - (36.0_f64 - 25.0).sqrt()).abs() < 1e-9);
/// ```
pub fn crossing_mm(first_mm: f64, second_mm: f64, thickness_mm: f64) -> f64 {
    let radii = first_mm + second_mm;
    ((radii + thickness_mm).powi(2) - radii * radii).sqrt()
}
