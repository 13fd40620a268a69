//! Poses that ship: of every weave of the trade, taut, at a ladder of ratios. They were worked out once
//! (`crates/core/examples/poses.rs`) and are verified by a test; a chain is planned from the nearest.

use std::sync::OnceLock;

use glam::DVec3;

use super::pose::Pose;
use super::torus::Torus;

/// A pose that ships.
#[derive(Debug, Clone, PartialEq)]
pub struct Shipped {
    /// The weave's word.
    pub weave: String,
    /// The ratio of inside to wire it is taut at.
    pub ratio: f64,
    /// The pose, in units of the core radius.
    pub pose: Pose,
}

/// All of them, by weave and by growing ratio.
pub fn all() -> &'static [Shipped] {
    static ALL: OnceLock<Vec<Shipped>> = OnceLock::new();
    ALL.get_or_init(|| include_str!("poses.txt").lines().filter_map(read).collect())
}

/// Those of one weave, by growing ratio.
///
/// ```
/// use lorimant_core::chain::shipped;
///
/// let mut ladder = shipped::of("one-in-one");
/// // The smallest ratio at which rings go through each other is two.
/// assert!((ladder.next().unwrap().ratio - 2.0).abs() < 1e-3);
/// ```
pub fn of(weave: &str) -> impl Iterator<Item = &'static Shipped> {
    all().iter().filter(move |shipped| shipped.weave == weave)
}

/// A pose as a line of the file: word, ratio, repeat, across, turn; then of each ring its middle and its axis.
#[must_use]
pub fn written(weave: &str, ratio: f64, pose: &Pose) -> String {
    let mut line = format!("{weave} {ratio:.6} {:.8} {:.8} {:.8}", pose.repeat, pose.across, pose.turn);
    for ring in &pose.rings {
        let (c, a) = (ring.center, ring.axis);
        line += &format!(" {:.8} {:.8} {:.8} {:.8} {:.8} {:.8}", c.x, c.y, c.z, a.x, a.y, a.z);
    }
    line
}

fn read(line: &str) -> Option<Shipped> {
    let mut words = line.split_whitespace();
    let weave = words.next()?.to_owned();
    let numbers: Vec<f64> = words.map(str::parse).collect::<Result<_, _>>().ok()?;
    let [ratio, repeat, across, turn, ref rings @ ..] = numbers[..] else { return None };
    let ring = |of: &[f64]| Torus {
        center: DVec3::new(of[0], of[1], of[2]),
        axis: DVec3::new(of[3], of[4], of[5]).normalize(),
        radius: 1.0,
    };
    let rings = rings.chunks_exact(6).map(ring).collect();
    Some(Shipped { weave, ratio, pose: Pose { rings, repeat, across, turn } })
}
