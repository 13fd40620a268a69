//! Let the coil go, slide it off, take its tails off.

use crate::making::takes::Lost;
use crate::making::telling::turned;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::coil::Coil;
use crate::tool::cutting::CAUTION;
use crate::tool::mandrel::Mandrel;
use crate::wire::bending::Bending;
use crate::words::length::caliper;
use lorimant_text::text;

/// The coil springs open, slides off, and its tails come off.
#[derive(Debug, Clone)]
pub struct SlideOff<'a> {
    /// The rod it was wound on.
    pub rod: &'a Mandrel,
    /// Strain that was spent before it was wound.
    pub strain_before: f64,
    /// Tails of all coils together, mm.
    pub tails_mm: f64,
    /// Ragged part-turns of all coils together, mm of wire.
    pub ragged_mm: f64,
    /// Whether it stays on the rod to be sawn there.
    pub stays: bool,
}

impl Perform for SlideOff<'_> {
    fn operation(&self) -> Operation {
        Operation::SlideOff
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let Some(mut coil) = piece.coil.filter(|coil| coil.on_the_rod) else {
            return Err(text!("slide-off-there-no-coil-on-rod").to_owned());
        };
        let bending = Bending::after(bench.wire, self.strain_before);
        let Some(sprung) = Coil::wind_with(&bending, self.rod.outline()) else {
            return Err(text!("slide-off-wire-springs-straight").to_owned());
        };
        coil.turns_n *= sprung.springback_ratio;
        coil.inside_mm = sprung.relaxed.across();
        coil.on_the_rod = self.stays;
        piece.coil = Some(coil);
        piece.outline = Some(sprung.relaxed);
        piece.take_off(self.tails_mm + self.ragged_mm, true);
        let unit = bench.unit();
        let slide = if self.stays {
            text!("slide-off-clip-wire-let-coil-spring")
        } else {
            text!("slide-off-clip-wire-let-coil-spring-open")
        };
        Ok(Done {
            what: text!("slide-off-coil").to_owned(),
            numbers: Numbers {
                turns_n: Some(coil.turns_n),
                inside_mm: Some(coil.inside_mm),
                length_mm: Some(self.tails_mm + self.ragged_mm),
                ..Numbers::default()
            },
            text: text!(
                "slide-off-now-has-inside-cut-off",
                slide,
                turns_n = turned(coil.turns_n),
                inside_mm = caliper(coil.inside_mm, unit)
            ),
            caution: Some(CAUTION.as_str()),
            takes: Takes::minutes(0.3, bench.shared(0.5)),
            lost: vec![(Lost::Clean, self.tails_mm + self.ragged_mm)],
            ..Done::default()
        })
    }
}
