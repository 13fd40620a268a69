//! Wind a coil for rings.

use crate::making::workpiece::Coiled;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::coil::{Coil, Winding};
use crate::tool::mandrel::Mandrel;
use crate::wire::bending::Bending;
use crate::words::counted;
use crate::words::length::pull;

/// Turns wound on a rod, to be cut into rings.
#[derive(Debug, Clone)]
pub struct Wind<'a> {
    /// The rod.
    pub rod: &'a Mandrel,
    /// How it is turned.
    pub winding: Winding,
    /// Turns of one coil.
    pub turns_n: u32,
    /// How many coils, all alike.
    pub coils_n: u32,
    /// Length of one of them on the rod, mm.
    pub coil_mm: f64,
    /// Wire to pull off the spool for one of them, mm.
    pub wire_mm: f64,
    /// What can hurt.
    pub caution: &'static str,
}

impl Perform for Wind<'_> {
    fn operation(&self) -> Operation {
        Operation::Wind
    }

    fn perform(&self, piece: &mut Workpiece, bench: &Bench) -> Result<Done, String> {
        let profile = bench.wire.profile();
        let spent = piece.strain_between(0.0, piece.length_mm);
        let bending = Bending::after(bench.wire, spent);
        let Some(coil) = Coil::wind_with(&bending, self.rod.outline()) else {
            return Err(
                "the wire springs straight off this rod. Use a smaller rod or softer wire.".to_owned()
            );
        };
        let made = coil.tightest_mm();
        let outer = crate::wire::strength::outer_strain(profile, made);
        let used = bench.share(piece.outer_between(0.0, piece.length_mm), outer);
        let all = piece.length_mm;
        piece.bend((0.0, all), made, profile);
        let at_side = coil.wound.side_radius().map(|radius| radius + profile.centroid_mm());
        piece.softer_at_side =
            bending.mean_strain(made) - at_side.map_or(0.0, |radius| bending.mean_strain(radius));
        let turns_n = f64::from(self.turns_n);
        piece.coil = Some(Coiled { turns_n, inside_mm: self.rod.outline().across(), on_the_rod: true });
        let unit = bench.unit();
        let rod = self.rod.shown_in(unit);
        let how = match self.winding {
            Winding::Hand => "",
            Winding::PinVise => " Turn the vise and let the wire feed on.",
            Winding::SlowDrill => " Use the lowest speed, and a guide block of wood or leather.",
        };
        let (turns, wire) = (counted(self.turns_n, "turn"), pull(self.wire_mm, unit));
        let coils = match self.coils_n {
            1 => format!("Wind {turns} on the {rod}. Uses {wire} of wire."),
            n => format!("Wind {n} coils of {turns} on the {rod}. Uses {wire} of wire each."),
        };
        Ok(Done {
            what: "coil".to_owned(),
            numbers: Numbers {
                tool: Some(rod.clone()),
                tool_mm: Some(self.rod.outline().across()),
                tool_short_mm: Some(self.rod.outline().short_across())
                    .filter(|short| (short - self.rod.outline().across()).abs() > 1e-9),
                turns_n: Some(turns_n),
                length_mm: Some(self.coil_mm),
                times_n: (self.coils_n > 1).then_some(self.coils_n),
                strain_used: Some(used),
                ..Numbers::default()
            },
            text: format!("{coils}{how} Keep each turn against the last, with even tension."),
            hints: vec![
                "Keep the tension until the end is clipped. Loose turns make larger rings.".to_owned(),
            ],
            caution: Some(self.caution),
            takes: Takes::minutes(
                f64::from(self.coils_n),
                bench.shared(self.per_turn() * turns_n * f64::from(self.coils_n)),
            )
            .effort(bench.effort(spent)),
            ..Done::default()
        })
    }
}

impl Wind<'_> {
    /// Minutes of a turn.
    fn per_turn(&self) -> f64 {
        match self.winding {
            Winding::Hand => 0.05,
            Winding::PinVise => 0.03,
            Winding::SlowDrill => 0.01,
        }
    }
}
