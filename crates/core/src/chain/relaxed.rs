//! A weave of one's own relaxed: whether it can be, from which ratio on, and how it lies.

use serde::{Deserialize, Serialize};

use super::geometry::{Laid, RingDrawn};
use super::relax::Relaxing;
use super::search::{Effort, RelaxProgress, Watch, wire_at};
use super::weave::Weave;
use crate::fault::{Faults, Span};
use lorimant_text::{Text, fixed, text};

/// A weave to relax.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct RelaxRequest {
    /// The weave.
    pub weave: Weave,
    /// Inside over wire it is pulled taut at; where left out, a tenth above the smallest that goes.
    #[serde(default)]
    pub ratio: Option<f64>,
    /// Starts to try, 1 to 400; as many as take about a second if left out.
    #[serde(default)]
    pub starts_n: Option<u32>,
}

/// How a weave lies.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Relaxed {
    /// The smallest ratio found at which rings go into each other: an upper bound.
    pub smallest_ratio: f64,
    /// The ratio it is pulled taut at.
    pub ratio: f64,
    /// Whether rings of that ratio go into each other.
    pub fits: bool,
    /// The longest repeat found, as a multiple of the inside of a ring; nothing where they do not.
    pub repeat_of_inside: f64,
    /// The same across, of a sheet, as a multiple too.
    pub across_of_inside: f64,
    /// How far each cell is turned against the one before, degrees.
    pub turn_deg: f64,
    /// Six rows of it with rings of wire 1 mm.
    pub rings: Vec<RingDrawn>,
    /// What was found, in a sentence.
    pub text: String,
}

impl RelaxRequest {
    /// Relaxes it; `go_on` is told how far it is, and says whether to go on.
    ///
    /// # Errors
    /// The weave's faults within `weave`; one at `weave.links` where no pose was found, with the pair that is in the way.
    pub fn relaxed(&self, go_on: &dyn Fn(RelaxProgress) -> bool) -> Result<Relaxed, Faults> {
        let weave = &self.weave;
        weave.check().map_err(|faults| faults.within("weave"))?;
        let mut faults = Faults::none();
        if let Some(ratio) = self.ratio {
            let span =
                Span { noun: Text::named("relaxed-ratio-inside-wire"), unit: "", least: 1.0, most: 200.0 };
            faults.keep(span.check("ratio", ratio));
        }
        let mut effort = Effort::usual(weave.rings_n());
        if let Some(starts_n) = self.starts_n {
            let span = Span { noun: Text::named("relaxed-number-starts"), unit: "", least: 1.0, most: 400.0 };
            faults.keep(span.check("starts_n", f64::from(starts_n)));
            effort.starts_n = starts_n;
        }
        faults.into_result()?;
        let watch = Watch::of(go_on, effort);
        let wanted = || watch.goes_on();
        let searching = Relaxing::alike(weave).while_wanted(&wanted);
        let mut tight =
            searching.tightest(effort, &|far| watch.at(far)).map_err(|faults| faults.within("weave"))?;
        // What was found is pulled taut however little time is left: from one pose then.
        if searching.is_given_up() {
            tight.truncate(1);
        }
        let relaxing = Relaxing::alike(weave);
        let smallest_ratio = tight[0].ratio();
        let ratio = self.ratio.unwrap_or(1.1 * smallest_ratio);
        let wire = wire_at(ratio);
        let solved = relaxing.taut(&tight, wire);
        let bore = 2.0 - wire;
        let fits = solved.is_some();
        let text = if fits {
            text!(
                "relaxed-rings-fit-into-each-other",
                smallest_ratio = fixed(smallest_ratio, 2),
                ratio = fixed(ratio, 2)
            )
        } else {
            text!(
                "relaxed-rings-with-ratio-dont-fit",
                ratio = fixed(ratio, 2),
                smallest_ratio = fixed(smallest_ratio, 2)
            )
        };
        let pose = solved.map(|solved| solved.pose);
        // Wire of 1 mm: the core radius is half of the ratio and one.
        let scaled = pose.as_ref().map(|pose| pose.scaled(f64::midpoint(ratio, 1.0)));
        let laid = scaled.map(|pose| Laid { weave, pose, wires_mm: vec![1.0] });
        let rings = laid.map_or_else(Vec::new, |laid| laid.rows(6, 4));
        Ok(Relaxed {
            smallest_ratio,
            ratio,
            fits,
            repeat_of_inside: pose.as_ref().map_or(0.0, |pose| pose.repeat / bore),
            across_of_inside: pose.as_ref().map_or(0.0, |pose| pose.across / bore),
            turn_deg: pose.as_ref().map_or(0.0, |pose| pose.turn.to_degrees()),
            rings,
            text,
        })
    }
}
