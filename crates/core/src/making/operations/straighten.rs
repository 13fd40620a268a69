//! Straighten.

use crate::making::run::From;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::method::{PULL_STRAIN, Straightening};
use crate::words::counted;

/// The wire is straightened while it is still on the spool, where there is something to hold.
#[derive(Debug, Clone, Copy)]
pub struct Straighten {
    /// How.
    pub by: Straightening,
    /// How often it is pulled, where it is pulled.
    pub pulls_n: u32,
    /// The stretch that is pulled where it is not the wire on the spool: its name, and where it lies on the blank, mm.
    pub stretch: Option<(&'static str, (f64, f64))>,
}

impl Straighten {
    /// One straight stretch of a piece is pulled, after its end was formed.
    fn pull(&self, what: &'static str, (from, to): (f64, f64), piece: &mut Workpiece) -> Done {
        let (gone, strain) = (piece.gone_mm, PULL_STRAIN * f64::from(self.pulls_n));
        for stretch in piece.between(from - gone, to - gone) {
            stretch.strain += strain;
            stretch.outer_strain += strain;
        }
        Done {
            what: what.to_owned(),
            numbers: Numbers {
                from: Some(From::NearEnd),
                at_mm: Some(from),
                length_mm: Some(to - from),
                pulls_n: Some(self.pulls_n),
                ..Numbers::default()
            },
            text: format!(
                "Pull the {what} {} through smooth plastic jaws. Hold it behind the bend.",
                counted(self.pulls_n, "time")
            ),
            takes: Takes::minutes(0.2, 0.1 + 0.05 * f64::from(self.pulls_n)),
            ..Done::default()
        }
    }
}

impl Perform for Straighten {
    fn operation(&self) -> Operation {
        Operation::Straighten
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        if let Some((what, span)) = self.stretch {
            return Ok(self.pull(what, span, piece));
        }
        if piece.coil.is_some() || piece.inside_mm.is_some() || piece.stretches.iter().any(|s| s.bent) {
            return Err("it would pull out the bends already made. Straighten first.".to_owned());
        }
        let what = "wire".to_owned();
        if self.by == Straightening::Fingers {
            let text =
                "Run the wire through your fingers or a cloth until it is straight, still on the spool.";
            return Ok(Done {
                what,
                text: text.to_owned(),
                takes: Takes::minutes(0.5, bench.shared(0.2)),
                ..Done::default()
            });
        }
        piece.harden(PULL_STRAIN * f64::from(self.pulls_n));
        Ok(Done {
            what,
            numbers: Numbers { pulls_n: Some(self.pulls_n), ..Numbers::default() },
            text: if self.by == Straightening::AfterCutting && piece.far != End::Raw {
                format!(
                    "Pull each piece {} through smooth plastic jaws. Hold its end in pliers.",
                    counted(self.pulls_n, "time")
                )
            } else {
                format!(
                    "Pull the wire {} through smooth plastic jaws, still on the spool.",
                    counted(self.pulls_n, "time")
                )
            },
            hints: vec!["Each pull hardens the wire a little, and later bends spring back more.".to_owned()],
            caution: Some("Hold the far end: a wire that slips out of the jaws whips. Wear safety glasses."),
            takes: Takes::minutes(0.5, bench.shared(0.1 + 0.05 * f64::from(self.pulls_n))),
            ..Done::default()
        })
    }
}
