//! A chain as solid rings, for any program that reads STL.

use std::f64::consts::TAU;

use glam::DVec3;

use super::geometry::RingDrawn;
use super::torus::Torus;

/// Faces around a ring, and around its wire.
const AROUND: (u32, u32) = (64, 20);

/// The rings as a binary STL file, mm: 80 bytes of head, the number of triangles, 50 bytes each.
///
/// ```
/// use lorimant_core::chain::geometry::Laid;
/// use lorimant_core::chain::solid::stl;
/// use lorimant_core::chain::taut::{RingSize, Taut};
/// use lorimant_core::chain::weaves::by_word;
///
/// let weave = &by_word("one-in-one").unwrap().weave;
/// let taut = Taut::of(weave, &[RingSize { inside_mm: 5.0, wire_mm: 1.0 }]).unwrap();
/// let rings = Laid { weave, pose: taut.pose.unwrap(), wires_mm: vec![1.0] }.rows(3, 1);
/// let file = stl(&rings);
/// // Three rings of 64 by 20 squares, each two triangles.
/// assert_eq!(file.len(), 84 + 50 * 3 * 64 * 20 * 2);
/// ```
#[must_use]
pub fn stl(rings: &[RingDrawn]) -> Vec<u8> {
    let mut triangles: Vec<[DVec3; 3]> = vec![];
    for ring in rings {
        let torus = Torus {
            center: DVec3::from_array(ring.center_mm),
            axis: DVec3::from_array(ring.axis),
            radius: ring.radius_mm,
        };
        let at = |i: u32, j: u32| {
            let (round, about) =
                (TAU * f64::from(i) / f64::from(AROUND.0), TAU * f64::from(j) / f64::from(AROUND.1));
            let core = torus.at(round);
            let out = (core - torus.center).normalize();
            core + (out * about.cos() + torus.axis * about.sin()) * (ring.wire_mm / 2.0)
        };
        for i in 0..AROUND.0 {
            for j in 0..AROUND.1 {
                let (a, b, c, d) = (at(i, j), at(i + 1, j), at(i + 1, j + 1), at(i, j + 1));
                triangles.extend([[a, b, c], [a, c, d]]);
            }
        }
    }
    let mut file = Vec::with_capacity(84 + 50 * triangles.len());
    file.extend([b' '; 80]);
    file.extend(u32::try_from(triangles.len()).unwrap_or(u32::MAX).to_le_bytes());
    for [a, b, c] in triangles {
        let normal = (b - a).cross(c - a).normalize_or_zero();
        for point in [normal, a, b, c] {
            for value in point.to_array() {
                #[expect(clippy::cast_possible_truncation, reason = "the format's own precision")]
                file.extend((value as f32).to_le_bytes());
            }
        }
        file.extend([0, 0]);
    }
    file
}
