//! Hammer a ring.

use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::shape::hammered;
use crate::tool::outline::Outline;
use crate::words::length::{caliper, thickness};

/// A ring is hammered flat on the block: it grows, and its wire is wide in its plane.
#[derive(Debug, Clone, Copy)]
pub struct HammerRing {
    /// Thickness across its plane afterwards, mm.
    pub to_mm: f64,
}

impl Perform for HammerRing {
    fn operation(&self) -> Operation {
        Operation::Hammer
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let unit = bench.unit();
        let (Some(inside), Some(stretch)) = (piece.inside_mm, piece.stretches.first().copied()) else {
            return Err("there is no ring yet. Cut the coil first.".to_owned());
        };
        if !piece.shut {
            return Err("the blows would open it further. Close it first.".to_owned());
        }
        let h = stretch.thickness_mm;
        if self.to_mm >= h {
            return Err(format!(
                "wire {} thick cannot be hammered to {}. Enter a smaller thickness.",
                thickness(h, unit),
                thickness(self.to_mm, unit)
            ));
        }
        let strain = (h / self.to_mm).ln();
        let used = bench.share(stretch.outer_strain, strain);
        let all = piece.length_mm;
        let outline = piece.outline.unwrap_or(Outline::Round { diameter: inside });
        // As thick as it is now, and as wide.
        let Some(grown) = hammered::grown_from(stretch.width_mm, h, outline, self.to_mm) else {
            return Err("this thin, the wire spreads until no opening is left. Hammer it less.".to_owned());
        };
        piece.flatten((0.0, all), self.to_mm);
        let width = piece.stretches.first().map_or(stretch.width_mm, |s| s.width_mm);
        let inside = grown.across();
        (piece.outline, piece.inside_mm) = (Some(grown), Some(inside));
        // The blows push the joint open again; that it is shut once more belongs to hammering it.
        Ok(Done {
            what: "ring".to_owned(),
            numbers: Numbers {
                thickness_mm: Some(self.to_mm),
                inside_mm: Some(inside),
                tool: Some("hammer and block".to_owned()),
                strain_used: Some(used),
                ..Numbers::default()
            },
            text: format!(
                "Hammer it to {} on the polished block, the same on both sides. Close it again and flatten \
                 it. It grows to {} inside, with the wire {} wide.",
                thickness(self.to_mm, unit),
                caliper(inside, unit),
                thickness(width, unit)
            ),
            hints: vec!["A sharp hammer edge cuts thin wire: use a domed, mirror-smooth face.".to_owned()],
            caution: Some("Wear safety glasses. Keep fingers clear of the block."),
            takes: Takes::minutes(0.5, 0.6).effort(bench.effort(stretch.strain)),
            ..Done::default()
        })
    }
}
