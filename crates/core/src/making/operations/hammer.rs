//! Hammer a ring.

use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::shape::hammered;
use crate::tool::outline::Outline;
use crate::words::length::{caliper, thickness};
use lorimant_text::text;

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
            return Err(text!("hammer-there-no-ring-yet-cut").to_owned());
        };
        if !piece.shut {
            return Err(text!("hammer-blows-would-open-further-close").to_owned());
        }
        let h = stretch.thickness_mm;
        if self.to_mm >= h {
            return Err(text!(
                "hammer-wire-thick-cannot-be-hammered",
                h = thickness(h, unit),
                to_mm = thickness(self.to_mm, unit)
            ));
        }
        let strain = (h / self.to_mm).ln();
        let used = bench.share(stretch.outer_strain, strain);
        let all = piece.length_mm;
        let outline = piece.outline.unwrap_or(Outline::Round { diameter: inside });
        // As thick as it is now, and as wide.
        let Some(grown) = hammered::grown_from(stretch.width_mm, h, outline, self.to_mm) else {
            return Err(text!("hammer-this-thin-wire-spreads-until").to_owned());
        };
        piece.flatten((0.0, all), self.to_mm);
        let width = piece.stretches.first().map_or(stretch.width_mm, |s| s.width_mm);
        let inside = grown.across();
        (piece.outline, piece.inside_mm) = (Some(grown), Some(inside));
        // The blows push the joint open again; that it is shut once more belongs to hammering it.
        Ok(Done {
            what: text!("hammer-ring").to_owned(),
            numbers: Numbers {
                thickness_mm: Some(self.to_mm),
                inside_mm: Some(inside),
                tool: Some(text!("hammer-hammer-block").to_owned()),
                strain_used: Some(used),
                ..Numbers::default()
            },
            text: text!(
                "hammer-hammer-on-polished-block-same",
                to_mm = thickness(self.to_mm, unit),
                inside = caliper(inside, unit),
                width = thickness(width, unit)
            ),
            hints: vec![text!("hammer-sharp-hammer-edge-cuts-thin").to_owned()],
            caution: Some(text!("hammer-wear-safety-glasses-keep-fingers")),
            takes: Takes::minutes(0.5, 0.6).effort(bench.effort(stretch.strain)),
            ..Done::default()
        })
    }
}
