//! Wind a coil for rings.

use crate::making::workpiece::Coiled;
use crate::making::{Bench, Done, Numbers, Operation, Perform, Takes, Workpiece};
use crate::tool::coil::{Coil, Winding};
use crate::tool::mandrel::Mandrel;
use crate::wire::bending::Bending;
use crate::words::length::pull;
use lorimant_text::text;

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
            return Err(text!("wind-wire-springs-straight-off-this").to_owned());
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
            Winding::PinVise => text!("wind-turn-vise-let-wire-feed"),
            Winding::SlowDrill => text!("wind-use-lowest-speed-guide-block"),
        };
        let (turns, wire) = (text!("count-turn", n = self.turns_n), pull(self.wire_mm, unit));
        let coils = match self.coils_n {
            1 => text!("wind-wind-on-uses-wire", turns, rod, wire),
            n => text!("wind-wind-coils-on-uses-wire", n, turns, rod, wire),
        };
        Ok(Done {
            what: text!("wind-coil").to_owned(),
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
            text: text!("wind-keep-each-turn-against-last", coils, how),
            hints: vec![text!("wind-keep-tension-until-end-clipped").to_owned()],
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
