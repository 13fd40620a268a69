//! The tool and the place on it for each bend, so that the bend has its inside after letting go.

use serde::Serialize;

use super::operation::Operation;
use crate::shape::{Course, Segment};
use crate::tool::coil::{Coil, Cone, outline_for};
use crate::tool::mandrel::Shape;
use crate::tool::outline::Outline;
use crate::tool::plier::Plier;
use crate::tool::workshop::Workshop;
use crate::wire::bending::Bending;
use crate::words::length::{caliper, caliper_number};
use crate::words::words;
use lorimant_text::text;

words! {
    /// What a stretch is formed with.
    pub enum With ("with") {
        /// A plier's jaw of a certain diameter.
        Jaw = "jaw";
        /// A rod.
        Rod = "rod";
        /// Flat-nose pliers.
        FlatNose = "flat-nose";
        /// The piece's own stem.
        OwnStem = "own-stem";
        /// A taper.
        Taper = "taper";
        /// Hammer and block.
        Hammer = "hammer";
        /// A torch.
        Torch = "torch";
    }
}

/// A tool in its place for one bend.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct ToolPlace {
    /// What kind of tool.
    pub with: With,
    /// Its name in the workshop.
    pub tool: String,
    /// Diameter of the tool there, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub diameter_mm: Option<f64>,
    /// Of a taper: diameter at the wide mouth, mm; `diameter_mm` is that at the narrow one.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub wide_mm: Option<f64>,
    /// From the tip of the jaw, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub jaw_mm: Option<f64>,
    /// How much 1 mm of slip along the jaw changes the inside, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub slip_mm: Option<f64>,
    /// Inside it gives after letting go, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub gives_mm: Option<f64>,
    /// What is wrong with the fit, where the workshop owns nothing better.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub misfit: Option<String>,
}

/// A bend past its mark, and with what.
#[derive(Debug, Clone, PartialEq)]
pub struct Bent {
    /// The tool.
    pub place: ToolPlace,
    /// Angle to go to, so that the wanted one is left, degrees.
    pub to_deg: f64,
}

/// Bends up to this inside, in thicknesses of the wire, are made against the edge of flat-nose pliers.
const SHARP: f64 = 1.3;
/// Misfit that is still taken, mm and as a share of the inside.
const FIT_MM: f64 = 0.1;
const FIT_SHARE: f64 = 0.03;
/// Bends wider than this are made over a rod rather than a jaw where both fit, mm.
const ROD_FROM_MM: f64 = 6.0;

fn plain(with: With) -> ToolPlace {
    let tool = with.shown().to_owned();
    ToolPlace {
        with,
        tool,
        diameter_mm: None,
        wide_mm: None,
        jaw_mm: None,
        slip_mm: None,
        gives_mm: None,
        misfit: None,
    }
}

/// Chooses tools for a wire as hard as it is now, out of those a workshop owns.
#[derive(Debug, Clone, Copy)]
pub struct Chooser<'a> {
    /// How the wire bends.
    pub bending: Bending,
    /// The plier to roll on, by its name; any if none is named.
    pub plier: Option<&'a str>,
    /// The workshop.
    pub workshop: &'a Workshop,
}

impl Chooser<'_> {
    /// The tool for a segment that is formed by an operation; none for what is left straight.
    ///
    /// A segment that is hammered afterwards grows, so it is bent tighter first.
    #[must_use]
    pub fn tool(&self, segment: &Segment, operation: Operation) -> Option<Bent> {
        let profile = self.bending.profile;
        let angle_deg = segment.curve(profile).angle().to_degrees();
        // A loop is rolled on a jaw however small; a sharp bend of less is made against an edge.
        let made_as = (operation, angle_deg > 200.0);
        let c = profile.centroid_mm();
        let before = |inside_mm: f64| 2.0 * ((inside_mm / 2.0 + c) / segment.opens(profile) - c);
        let (place, over) = match segment.course {
            Course::Straight { .. } if segment.flattened_mm.is_some() => (plain(With::Hammer), 1.0),
            Course::Straight { .. } => return None,
            Course::Ball { .. } => (plain(With::Torch), 1.0),
            Course::Wrap { .. } if operation == Operation::Wrap => (plain(With::OwnStem), 1.0),
            Course::Cone { small_mm, large_mm, turns, .. } => self.taper(Cone { small_mm, large_mm, turns }),
            Course::Oval { long_mm, short_mm } => {
                (self.oval_rod(long_mm, short_mm), self.oval_over(long_mm, short_mm))
            }
            Course::Bend { inside_mm, .. }
            | Course::Wrap { core_mm: inside_mm, .. }
            | Course::Spiral { inner_mm: inside_mm, .. } => self.sized(before(inside_mm), made_as),
        };
        Some(Bent { place, to_deg: angle_deg * over })
    }

    /// The tool for a bend of an inside diameter, and by what factor to go past the angle.
    fn sized(&self, inside_mm: f64, (kind, loop_like): (Operation, bool)) -> (ToolPlace, f64) {
        let c = self.bending.profile.centroid_mm();
        let radius = inside_mm / 2.0 + c;
        let Some(wound) = self.bending.wound_radius(radius) else {
            return (plain(With::FlatNose), 1.0);
        };
        let over = radius / wound;
        let wanted = 2.0 * (wound - c);
        let thickness = self.bending.profile.thickness_mm();
        let sharp =
            inside_mm <= SHARP * thickness && !loop_like && matches!(kind, Operation::Loop | Operation::Bend);
        if matches!(kind, Operation::Fold | Operation::Kick | Operation::Lift) || sharp {
            return (plain(With::FlatNose), over);
        }
        if kind == Operation::Coil && (inside_mm - thickness).abs() < 1e-9 {
            let tool = text!("making-place-straight-length-same-wire").to_owned();
            return (ToolPlace { tool, diameter_mm: Some(thickness), ..plain(With::OwnStem) }, over);
        }
        if kind == Operation::Spiral && inside_mm <= 0.0 {
            // A middle that is squeezed shut is started over the very tip.
            return (plain(With::FlatNose), over);
        }
        let offers = self.offers(inside_mm, wanted, kind);
        let off = |place: &ToolPlace| place.gives_mm.map_or(f64::INFINITY, |gives| (gives - inside_mm).abs());
        let best = offers.into_iter().min_by(|a, b| (off(&a.0) + a.1).total_cmp(&(off(&b.0) + b.1)));
        let unit = self.workshop.habits.unit;
        let wanted_shown = caliper(wanted, unit);
        // What nothing owned comes near is told by the tool it takes, never by one that makes another piece.
        let what = if kind == Operation::Coil { "rod" } else { text!("making-place-jaw-or-rod") };
        let ideal = |misfit: String| ToolPlace {
            tool: format!("{wanted_shown} {what}"),
            diameter_mm: Some(wanted),
            gives_mm: Some(inside_mm),
            misfit: Some(misfit),
            ..plain(With::Rod)
        };
        let place = match best {
            Some((place, _)) if off(&place) <= FIT_MM.max(FIT_SHARE * inside_mm) => place,
            Some((nearest, _)) => {
                let misfit = text!(
                    "making-place-you-have-no-nearest-gives",
                    what,
                    wanted_shown,
                    tool = nearest.tool,
                    gives_mm = nearest
                        .gives_mm
                        .map_or(text!("making-place-nothing").to_owned(), |mm| caliper(mm, unit)),
                    inside_mm = caliper(inside_mm, unit)
                );
                // Pliers that were asked for by name are taken all the same.
                match nearest.with {
                    With::Jaw if self.plier.is_some_and(|name| !name.trim().is_empty()) => {
                        ToolPlace { misfit: Some(misfit), ..nearest }
                    }
                    _ => ideal(misfit),
                }
            }
            None => ideal(text!("making-place-no-pliers-or-rods-listed", what, wanted_shown)),
        };
        (place, over)
    }

    /// The jaws and rods that come near the diameter wanted, each with how unhandy it is.
    fn offers(&self, inside_mm: f64, wanted: f64, kind: Operation) -> Vec<(ToolPlace, f64)> {
        let c = self.bending.profile.centroid_mm();
        let gives = |diameter: f64| {
            let relaxed = self.bending.relaxed(1.0 / (diameter / 2.0 + c));
            if relaxed > 0.0 { 2.0 * (1.0 / relaxed - c) } else { f64::INFINITY }
        };
        let named = self.plier.map(str::trim).filter(|name| !name.is_empty());
        let chosen = |plier: &&Plier| named.is_none_or(|name| plier.name.trim().eq_ignore_ascii_case(name));
        let coiled = kind == Operation::Coil;
        let pliers = self.workshop.pliers.iter().filter(|_| !coiled).filter(chosen);
        let jaws = pliers.filter_map(|plier| {
            let at = plier.place(wanted)?;
            let place = ToolPlace {
                tool: plier.shown(),
                diameter_mm: Some(at.diameter_mm),
                jaw_mm: at.at_mm,
                slip_mm: (at.slip > 0.0).then_some(at.slip),
                gives_mm: Some(gives(at.diameter_mm)),
                ..plain(With::Jaw)
            };
            // A jaw is the handier tool for small loops, a rod for wide bends.
            Some((place, if inside_mm > ROD_FROM_MM && named.is_none() { 0.06 } else { 0.0 }))
        });
        let round = self.workshop.rods.iter().filter(|rod| rod.shape == Shape::Round);
        let mut rods: Vec<_> = round.map(|rod| (rod, rod.outline().across())).collect();
        rods.sort_by(|a, b| (a.1 - wanted).abs().total_cmp(&(b.1 - wanted).abs()));
        let rods = rods.into_iter().take(2).map(|(rod, across)| {
            let place = ToolPlace {
                tool: rod.shown_in(self.workshop.habits.unit),
                diameter_mm: Some(across),
                gives_mm: Some(gives(across)),
                ..plain(With::Rod)
            };
            (place, if coiled || inside_mm > ROD_FROM_MM { 0.0 } else { 0.08 })
        });
        jaws.chain(rods).collect()
    }

    /// Where on a taper a cone is wound, and by what factor more turns, so that it is left after letting go.
    fn taper(&self, cone: Cone) -> (ToolPlace, f64) {
        let Some(wound) = cone.wound_for(&self.bending) else {
            let message = text!("making-place-this-wire-springs-straight-off");
            return (ToolPlace { misfit: Some(message.to_owned()), ..plain(With::Taper) }, 1.0);
        };
        let place = ToolPlace {
            diameter_mm: Some(wound.small_mm),
            wide_mm: Some(wound.large_mm),
            gives_mm: Some(cone.small_mm),
            ..plain(With::Taper)
        };
        (place, wound.turns / cone.turns)
    }

    /// By what factor a turn round an oval goes past the turn that is left.
    fn oval_over(&self, long_mm: f64, short_mm: f64) -> f64 {
        let wanted = Outline::Oval { long: long_mm, short: short_mm };
        let coil = outline_for(&self.bending, wanted).and_then(|rod| Coil::wind_with(&self.bending, rod));
        coil.map_or(1.0, |coil| 1.0 / coil.springback_ratio)
    }

    /// The oval rod that leaves an oval ring after letting go: the workshop's nearest by what it gives.
    fn oval_rod(&self, long_mm: f64, short_mm: f64) -> ToolPlace {
        let wanted = Outline::Oval { long: long_mm, short: short_mm };
        let ideal = outline_for(&self.bending, wanted).unwrap_or(wanted);
        let ovals = self.workshop.rods.iter().filter(|rod| rod.shape == Shape::Oval);
        let gives = ovals.filter_map(|rod| {
            let left = Coil::wind_with(&self.bending, rod.outline())?.relaxed;
            let off = (left.across() - long_mm).abs().max((left.short_across() - short_mm).abs());
            Some((rod, left, off))
        });
        let best = gives.min_by(|a, b| a.2.total_cmp(&b.2));
        let unit = self.workshop.habits.unit;
        let sizes = |outline: Outline| {
            format!("{} × {}", caliper_number(outline.across(), unit), caliper(outline.short_across(), unit))
        };
        let fits = |off: f64| off <= FIT_MM.max(FIT_SHARE * long_mm);
        match best {
            Some((rod, left, off)) if fits(off) => ToolPlace {
                tool: rod.shown_in(self.workshop.habits.unit),
                diameter_mm: Some(rod.outline().across()),
                gives_mm: Some(left.across()),
                ..plain(With::Rod)
            },
            best => {
                let nearest = best.map_or_else(String::new, |(rod, left, _)| {
                    text!("making-place-nearest-you-have-gives", rod = rod.shown_in(unit), left = sizes(left))
                });
                ToolPlace {
                    tool: text!("making-place-oval-rod", ideal = sizes(ideal)),
                    diameter_mm: Some(ideal.across()),
                    gives_mm: Some(long_mm),
                    misfit: Some(text!(
                        "making-place-no-oval-rod-yours-gives",
                        wanted = sizes(wanted),
                        ideal = sizes(ideal),
                        nearest
                    )),
                    ..plain(With::Rod)
                }
            }
        }
    }
}
