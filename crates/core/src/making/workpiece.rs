//! The workpiece: the wire as it is now.

use serde::Serialize;

use crate::tool::outline::Outline;
use crate::wire::Wire;
use crate::wire::section::{Profile, WIDTH_SHARE};
use crate::wire::strength::outer_strain;
use crate::words::words;

words! {
    /// How an end of the wire is.
    pub enum End ("end") {
        /// As it was left, or still on the spool.
        Raw = "raw";
        /// Cut flush: a flat face.
        Flush = "flush";
        /// Pinched to a ridge by the bevelled side of a cutter.
        Pinched = "pinched";
        /// Sawn: a flat face with a burr.
        Sawn = "sawn";
        /// Sheared: nearly flat, its burr filed off.
        Sheared = "sheared";
        /// Filed or rounded.
        Rounded = "rounded";
        /// Drawn up to a ball.
        Balled = "balled";
        /// Hammered flat.
        Hammered = "hammered";
    }
}

words! {
    /// How a closed piece is held shut.
    pub enum ClosedBy ("closed-by") {
        /// Melted together.
        Fused = "fused";
        /// Soldered.
        Soldered = "soldered";
    }
}

/// A stretch of the wire as it is now. Lengths in mm of straight wire, from the near end.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Stretch {
    /// Where it starts.
    pub from_mm: f64,
    /// Where it ends.
    pub to_mm: f64,
    /// Thickness in its bending plane.
    pub thickness_mm: f64,
    /// Width across it.
    pub width_mm: f64,
    /// Strain spent since it was annealed, the mean over its section; a temper is strain spent as well.
    pub strain: f64,
    /// What is spent at its outermost fibre of the strain the metal bears, which is where it cracks; drawing spends little.
    pub outer_strain: f64,
    /// That as a share of what an annealed piece bears before it breaks.
    pub spent_share: f64,
    /// Whether it is bent.
    pub bent: bool,
}

/// A coil: turns on a rod, or off it.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Coiled {
    /// Turns of one coil.
    pub turns_n: f64,
    /// Inside of the turns, mm; across the flats or the long way where the rod is not round.
    pub inside_mm: f64,
    /// Whether it is still on its rod.
    pub on_the_rod: bool,
}

/// The wire as it is now.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Workpiece {
    /// Straight wire in one, mm; of a coil, in all its turns and tails.
    pub length_mm: f64,
    /// How many such there are.
    pub pieces_n: u32,
    /// Its near end, the left one of the strip.
    pub near: End,
    /// Its far end, the right one of the strip.
    pub far: End,
    /// Turns and where they are, until they are cut into rings.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub coil: Option<Coiled>,
    /// Inside of a ring, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub inside_mm: Option<f64>,
    /// Whether its openings are shut.
    pub shut: bool,
    /// Whether flux is on it.
    pub fluxed: bool,
    /// Whether it comes out of the flame and has not been cooled.
    pub hot: bool,
    /// How it is joined, where it is.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub joined: Option<ClosedBy>,
    /// How much less strain the side of a coil's turns, or of an oval, has than its tightest bend: a flat is as hard as it
    /// was sold. The side is what gives.
    #[serde(skip)]
    pub(crate) softer_at_side: f64,
    /// Where its near end is on the blank as it was cut, mm: what was taken off there since.
    #[serde(rename = "starts_mm")]
    pub(super) gone_mm: f64,
    /// Inside of a coil's turns or a ring.
    #[serde(skip)]
    pub(crate) outline: Option<Outline>,
    /// Its wire from end to end: how thick, how hard, bent or straight.
    pub stretches: Vec<Stretch>,
}

impl Workpiece {
    /// Wire as it comes off the spool.
    #[must_use]
    pub fn of(wire: &Wire, length_mm: f64) -> Self {
        let profile = wire.profile();
        let (thickness_mm, strain) = (profile.thickness_mm(), wire.temper.strain());
        let stretch = Stretch {
            from_mm: 0.0,
            to_mm: length_mm,
            thickness_mm,
            width_mm: profile.size_mm,
            strain,
            outer_strain: wire.temper.bearing_spent(),
            spent_share: wire.temper.bearing_spent() / wire.metal.figures().fracture_strain,
            bent: false,
        };
        Self {
            length_mm,
            pieces_n: 1,
            near: End::Raw,
            far: End::Raw,
            coil: None,
            inside_mm: None,
            shut: false,
            fluxed: false,
            hot: false,
            joined: None,
            softer_at_side: 0.0,
            gone_mm: 0.0,
            outline: None,
            stretches: vec![stretch],
        }
    }

    /// Where its near end is on the blank as it was cut, mm.
    #[must_use]
    pub fn gone_mm(&self) -> f64 {
        self.gone_mm
    }

    /// Every stretch is hardened alike.
    pub(super) fn harden(&mut self, strain: f64) {
        for stretch in &mut self.stretches {
            stretch.strain += strain;
            stretch.outer_strain += strain;
        }
    }

    /// Heat makes all of it soft again.
    pub(super) fn soften(&mut self) {
        self.softer_at_side = 0.0;
        for stretch in &mut self.stretches {
            (stretch.strain, stretch.outer_strain) = (0.0, 0.0);
        }
    }

    /// Parts the stretches at a place.
    fn part_at(&mut self, at_mm: f64) {
        let within = |s: &Stretch| s.from_mm + 1e-9 < at_mm && at_mm < s.to_mm - 1e-9;
        if let Some(i) = self.stretches.iter().position(within) {
            let mut rest = self.stretches[i];
            rest.from_mm = at_mm;
            self.stretches[i].to_mm = at_mm;
            self.stretches.insert(i + 1, rest);
        }
    }

    /// The stretches between two places, parted there.
    pub(super) fn between(&mut self, from_mm: f64, to_mm: f64) -> impl Iterator<Item = &mut Stretch> {
        self.part_at(from_mm);
        self.part_at(to_mm);
        let inside = move |s: &&mut Stretch| s.from_mm >= from_mm - 1e-9 && s.to_mm <= to_mm + 1e-9;
        self.stretches.iter_mut().filter(inside)
    }

    /// The wire in the middle of a span of the blank as it was cut, mm; none where that came off.
    #[must_use]
    pub fn stretch_at(&self, (from_mm, to_mm): (f64, f64)) -> Option<&Stretch> {
        let middle = f64::midpoint(from_mm, to_mm) - self.gone_mm;
        self.stretches.iter().find(|s| s.from_mm <= middle && middle <= s.to_mm)
    }

    /// The hardest the wire is between two places.
    pub(super) fn strain_between(&self, from_mm: f64, to_mm: f64) -> f64 {
        let over = self.stretches.iter().filter(|s| s.from_mm < to_mm - 1e-9 && s.to_mm > from_mm + 1e-9);
        over.map(|s| s.strain).fold(0.0, f64::max)
    }

    /// The outermost fibre between two places, as far as it was strained.
    pub(super) fn outer_between(&self, from_mm: f64, to_mm: f64) -> f64 {
        let over = self.stretches.iter().filter(|s| s.from_mm < to_mm - 1e-9 && s.to_mm > from_mm + 1e-9);
        over.map(|s| s.outer_strain).fold(0.0, f64::max)
    }

    /// A stretch is bent on a tool to a centroid radius: hardened by the mean of `|y|/R`, its outside by `ln(1 + h/2R)`.
    pub(super) fn bend(&mut self, (from_mm, to_mm): (f64, f64), radius_mm: f64, profile: Profile) {
        let (mean, outer) = (profile.mean_height_mm() / radius_mm, outer_strain(profile, radius_mm));
        for stretch in self.between(from_mm, to_mm) {
            stretch.strain += mean;
            stretch.outer_strain += outer;
            stretch.bent = true;
        }
    }

    /// A stretch is hammered to a thickness: `e = ln(h/t)`, 0.7 of it into width.
    pub(super) fn flatten(&mut self, (from_mm, to_mm): (f64, f64), thickness_mm: f64) {
        for stretch in self.between(from_mm, to_mm) {
            let strain = (stretch.thickness_mm / thickness_mm).max(1.0).ln();
            stretch.strain += strain;
            stretch.outer_strain += strain;
            stretch.width_mm *= (WIDTH_SHARE * strain).exp();
            stretch.thickness_mm = stretch.thickness_mm.min(thickness_mm);
        }
    }

    /// Cuts a stretch out of its middle: what was one wire with a fold is two, that are kept together.
    pub(super) fn cut_out(&mut self, from_mm: f64, to_mm: f64) {
        self.part_at(from_mm);
        self.part_at(to_mm);
        self.stretches.retain(|s| s.to_mm <= from_mm + 1e-9 || s.from_mm >= to_mm - 1e-9);
        let out = to_mm - from_mm;
        for stretch in self.stretches.iter_mut().filter(|s| s.from_mm >= to_mm - 1e-9) {
            stretch.from_mm -= out;
            stretch.to_mm -= out;
        }
        self.length_mm -= out;
    }

    /// Takes wire off an end.
    pub(super) fn take_off(&mut self, mm: f64, far: bool) {
        if far {
            let end = self.length_mm - mm;
            self.part_at(end);
            self.stretches.retain(|s| s.from_mm < end - 1e-9);
        } else {
            self.gone_mm += mm;
            self.part_at(mm);
            self.stretches.retain(|s| s.to_mm > mm + 1e-9);
            for stretch in &mut self.stretches {
                stretch.from_mm -= mm;
                stretch.to_mm -= mm;
            }
        }
        self.length_mm -= mm;
    }
}
