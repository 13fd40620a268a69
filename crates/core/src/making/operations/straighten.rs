//! Straighten.

use crate::making::run::From;
use crate::making::workpiece::End;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::method::{PULL_STRAIN, Straightening};
use lorimant_text::text;

/// The wire is straightened while it is still on the spool, where there is something to hold.
#[derive(Debug, Clone, Copy)]
pub struct Straighten {
    /// How it is straightened: through the fingers, or pulled through smooth jaws.
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
            text: text!(
                "straighten-pull-through-smooth-plastic-jaws",
                what,
                pulls_n = text!("count-time", n = self.pulls_n)
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
            return Err(text!("straighten-would-pull-out-bends-already").to_owned());
        }
        let what = text!("segment-wire").to_owned();
        if self.by == Straightening::Fingers {
            let text = text!("straighten-run-wire-through-your-fingers");
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
                text!(
                    "straighten-pull-each-piece-through-smooth",
                    pulls_n = text!("count-time", n = self.pulls_n)
                )
            } else {
                text!(
                    "straighten-pull-wire-through-smooth-plastic",
                    pulls_n = text!("count-time", n = self.pulls_n)
                )
            },
            hints: vec![text!("straighten-each-pull-hardens-wire-little").to_owned()],
            caution: Some(text!("straighten-hold-far-end-wire-that")),
            takes: Takes::minutes(0.5, bench.shared(0.1 + 0.05 * f64::from(self.pulls_n))),
            ..Done::default()
        })
    }
}
