//! From what is in hand to the piece that comes of it: two-jaw pliers, a mark on the jaw, a length that is cut.

use serde::{Deserialize, Serialize};

use super::backwards::{Fitted, Measure, Target};
use super::form::FormedPiece;
use super::{Parameter, PatternRequest, Unit};
use crate::fault::{Fault, Faults, Span};
use crate::making::Operation;
use crate::tool::plier::{Jaws, Plier};
use crate::tool::workshop::Workshop;
use crate::words::length::{LengthUnit, both, on_ruler, ruler_step_mm};
use crate::words::{capital, quoted};
use lorimant_text::{Text, fixed, text};

/// What a maker has in hand; the sizes of the piece follow from it.
#[derive(Debug, Clone, PartialEq, Default, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields, default)]
pub struct Tools {
    /// The pliers it is bent on: a name in the workshop, or two jaws as `5/7`, in mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub plier: Option<String>,
    /// The mark on a tapered jaw, from its tip, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub jaw_mm: Option<f64>,
    /// The length that is cut, flush to flush, mm.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub cut_mm: Option<f64>,
}

const CUT: Span = Span { noun: Text::named("from-tools-cut-length"), unit: " mm", least: 2.0, most: 2000.0 };
const MARK: Span = Span { noun: Text::named("from-tools-mark-on-jaw"), unit: " mm", least: 0.0, most: 120.0 };
/// A jaw makes a bend that is drawn up to so many times larger or smaller; others keep their own tool.
const REACHES: f64 = 1.6;
/// How far a dimension is moved to see which bends it sizes, mm.
const NUDGE_MM: f64 = 0.05;
/// Most of a length that may be left over of a piece in proportion, mm.
const MOST_OVER_MM: f64 = 1.0;
/// Least and most that a whole piece is scaled by to come out of a length.
const SCALES: (f64, f64) = (0.3, 4.0);

impl Tools {
    /// The pliers these words mean: the workshop's own, or two jaws by their diameters.
    ///
    /// # Errors
    /// A fault at `plier` for none of that name; at `jaw_mm` for a mark on jaws that do not taper, or on none.
    fn jaws(&self, workshop: &Workshop) -> Result<Option<Plier>, Fault> {
        let Some(name) = self.plier.as_deref().map(str::trim).filter(|name| !name.is_empty()) else {
            let mut tapered = workshop.pliers.iter().filter(|plier| plier.jaws == Jaws::RoundNose);
            return match (self.jaw_mm, tapered.next(), tapered.next()) {
                (None, ..) => Ok(None),
                (Some(_), Some(only), None) => Ok(Some(only.clone())),
                (Some(_), ..) => Err(Fault::new("plier", text!("from-tools-enter-which-pliers-mark-on"))),
            };
        };
        if let Some(own) = workshop.plier(name) {
            return match (own.jaws, self.jaw_mm) {
                (Jaws::RoundNose, None) => {
                    let message = text!("from-tools-enter-where-on-jaws-how", own = own.shown());
                    Err(Fault::new("jaw_mm", message))
                }
                (Jaws::Stepped | Jaws::Loop, Some(_)) => {
                    let message = text!("from-tools-have-steps-not-taper-leave", own = own.shown());
                    Err(Fault::new("jaw_mm", message))
                }
                _ => Ok(Some(own.clone())),
            };
        }
        let two: Option<Vec<f64>> = name.split('/').map(|part| part.trim().parse::<f64>().ok()).collect();
        match two {
            Some(diameters_mm) if diameters_mm.len() == 2 => {
                let plier = Plier {
                    name: text!("from-tools-mm-pliers", name),
                    jaws: Jaws::Loop,
                    tip_mm: None,
                    base_mm: None,
                    length_mm: None,
                    measured: vec![],
                    reach_mm: None,
                    diameters_mm,
                };
                plier.check().map_err(|faults| {
                    faults
                        .0
                        .into_iter()
                        .next()
                        .map_or(Fault::new("plier", text!("from-tools-unknown-pliers")), |fault| {
                            fault.within("plier")
                        })
                })?;
                Ok(Some(plier))
            }
            _ => {
                let own: Vec<&str> = workshop.pliers.iter().map(|plier| plier.name.trim()).collect();
                let yours = if own.is_empty() {
                    String::new()
                } else {
                    text!("from-tools-yours", own = own.join(", "))
                };
                let message = text!("from-tools-you-have-no-pliers-called", name = quoted(name), yours);
                Err(Fault::new("plier", message))
            }
        }
    }
}

impl PatternRequest {
    /// The piece that these tools and this length make: each bend takes the jaw it is rolled on, what is cut fills the rest.
    ///
    /// ```
    /// use lorimant_core::pattern::PatternRequest;
    /// use lorimant_core::pattern::from_tools::Tools;
    /// use lorimant_core::tool::workshop::Workshop;
    ///
    /// let ear_wire = PatternRequest::usual("open-ear-wire".parse().unwrap());
    /// let shop = Workshop::default();
    /// let tools = Tools { cut_mm: Some(48.0), ..Tools::default() };
    /// let made = ear_wire.from_tools(&tools, &shop).unwrap().request;
    /// assert_eq!(made.finished(&shop).unwrap().blank.flush_mm, 48.0);
    /// ```
    ///
    /// # Errors
    /// A fault at `plier`, `jaw_mm` or `cut_mm` for what is unknown, out of its limits, or makes no such piece.
    pub fn from_tools(&self, tools: &Tools, workshop: &Workshop) -> Result<Fitted, Faults> {
        self.check()?;
        let mut request = self.clone().settled();
        if tools.plier.is_none() && tools.jaw_mm.is_none() && tools.cut_mm.is_none() {
            let message = text!("from-tools-enter-what-you-have-pliers");
            return Err(Fault::new("cut_mm", message).into());
        }
        if let Some(mm) = tools.jaw_mm {
            MARK.check("jaw_mm", mm)?;
        }
        if let Some(jaws) = tools.jaws(workshop)? {
            request = request.bent_on(&jaws, tools.jaw_mm)?;
            // What is not in the workshop cannot be named in its route.
            request.plier = workshop.plier(&jaws.name).map(|own| own.name.clone());
        }
        let mut notes = vec![];
        if let Some(mm) = tools.cut_mm {
            CUT.check("cut_mm", mm)?;
            (request, notes) = request.out_of(mm, workshop)?;
        }
        let mut changes = self.changed_to(&request, workshop.habits.unit);
        changes.extend(notes);
        Ok(Fitted { request, changes })
    }

    /// Each bend that these jaws come near takes the size they leave.
    fn bent_on(&self, jaws: &Plier, jaw_mm: Option<f64>) -> Result<Self, Faults> {
        let formed = self.form()?;
        let mut near: Vec<(&Parameter, f64, f64)> = vec![];
        for step in &formed.design.steps {
            let rolled = matches!(step.kind, Operation::Loop | Operation::Bend | Operation::Spiral);
            for i in step.segments.iter().filter(|_| rolled) {
                let Some(inside) = formed.design.segments[*i].course.tightest_mm() else { continue };
                let Some(parameter) = self.sizes(&formed, *i) else { continue };
                let marked = jaw_mm.and_then(|at| jaws.diameter_at(at));
                let all = marked.map_or_else(|| jaws.diameters_mm.clone(), |mm| vec![mm]);
                let left = all.into_iter().filter_map(|mm| formed.leaves_mm(*i, mm));
                let off = |mm: &f64| (mm / inside).ln().abs();
                let Some(best) = left.min_by(|a, b| off(a).total_cmp(&off(b))) else { continue };
                if !near.iter().any(|(known, ..)| known.name == parameter.name) {
                    near.push((parameter, best - inside, off(&best)));
                }
            }
        }
        near.sort_by(|a, b| a.2.total_cmp(&b.2));
        // The nearest bend takes the jaw in any case: it was said that it is made on it.
        let taken = near.iter().filter(|one| one.2 <= REACHES.ln()).count().max(1);
        if near.is_empty() {
            let message = text!("from-tools-no-part-rolled-on-jaw", plural = self.kind.0.plural);
            return Err(Fault::new("plier", message).into());
        }
        let mut request = self.clone();
        for (parameter, off, _) in near.into_iter().take(taken) {
            let value = request.value(parameter.name) + off;
            request.parameters.insert(parameter.name.to_owned(), (value * 1000.0).round() / 1000.0);
        }
        request.check()?;
        Ok(request)
    }

    /// The dimension that is the inside of a bend, but for a constant.
    fn sizes(&self, formed: &FormedPiece, segment: usize) -> Option<&'static Parameter> {
        let inside = |formed: &FormedPiece| formed.design.segments.get(segment)?.course.tightest_mm();
        let now = inside(formed)?;
        let mut lengths = self.kind.0.parameters.iter().filter(|parameter| parameter.unit == Unit::Mm);
        lengths.find(|parameter| {
            let mut moved = self.clone();
            moved.parameters.insert(parameter.name.to_owned(), self.value(parameter.name) + NUDGE_MM);
            let then = moved.form().ok().and_then(|formed| inside(&formed));
            then.is_some_and(|then| (then - now - NUDGE_MM).abs() < 1e-6)
        })
    }

    /// The piece that a length makes, cut as the ruler shows it: its free dimension follows, or all of it in proportion.
    fn out_of(&self, cut_mm: f64, workshop: &Workshop) -> Result<(Self, Vec<String>), Faults> {
        let unit = workshop.habits.unit;
        let step = ruler_step_mm(unit);
        let mark = (cut_mm / step + 1e-6).floor() * step;
        let trim = self.form_with(workshop)?.blank(unit).trim_mm;
        let target = Target { measure: Measure::Blank, mm: mark + trim };
        let free = self.gives_way(Measure::Blank);
        let fits = |request: &Self| {
            request.form_with(workshop).is_ok_and(|formed| formed.blank(unit).flush_mm <= mark + 1e-6)
        };
        let fault = match self.fitted(&[target]) {
            Ok(fitted) => {
                let parameter = self.kind.0.parameter(free);
                let part = if parameter.is_some_and(|one| one.unit == Unit::Turns) { 0.5 } else { 0.1 };
                let mut rounded = fitted.clone();
                let value = fitted.value(free);
                rounded
                    .parameters
                    .insert(free.to_owned(), ((value / part + 1e-6).floor() * part * 1e6).round() / 1e6);
                let request = if rounded.check().is_ok() && fits(&rounded) { rounded } else { fitted };
                let takes = request.form_with(workshop)?.blank(unit).flush_mm;
                let over = mark - takes;
                let note = (over > step / 2.0).then(|| {
                    text!(
                        "from-tools-needs-left-over",
                        takes = on_ruler(takes, unit),
                        over = on_ruler(over, unit)
                    )
                });
                return Ok((request, note.into_iter().collect()));
            }
            Err(faults) => faults,
        };
        // Its free dimension alone does not reach: all of it smaller or larger.
        let (request, scale) = self.in_proportion(mark, workshop).map_err(|nearest| {
            let message = match nearest {
                Some(mm) => text!(
                    "from-tools-cannot-be-made-from-nearest",
                    plural = capital(self.kind.0.plural.as_str()),
                    mark = on_ruler(mark, unit),
                    mm = on_ruler(mm, unit)
                ),
                None => fault.0.into_iter().next().map_or(String::new(), |fault| fault.message),
            };
            Fault::new("cut_mm", message)
        })?;
        Ok((request, vec![text!("from-tools-everything-in-proportion-times-as", scale = fixed(scale, 2))]))
    }

    /// All lengths scaled alike, as large as comes out of a length. Where that is no such piece, what the nearest one takes,
    /// mm, as far as there is one.
    fn in_proportion(&self, mark_mm: f64, workshop: &Workshop) -> Result<(Self, f64), Option<f64>> {
        let turns = self.kind.0.parameter(self.kind.0.free.blank).is_some_and(|one| one.unit == Unit::Turns);
        let scaled = |k: f64| {
            let mut request = self.clone();
            for parameter in self.kind.0.parameters {
                let value = self.value(parameter.name);
                let to = match parameter.unit {
                    Unit::Mm if value > 0.0 => (value * k * 100.0).floor() / 100.0,
                    Unit::Turns if parameter.name == self.kind.0.free.blank => {
                        (value * k * 2.0).floor() / 2.0
                    }
                    _ => continue,
                };
                request.parameters.insert(parameter.name.to_owned(), to.clamp(parameter.min, parameter.max));
            }
            request
        };
        let takes = |k: f64| Some(scaled(k).form_with(workshop).ok()?.blank(workshop.habits.unit).flush_mm);
        // A piece that is larger takes more wire: the largest that still comes out of it.
        let (mut low, mut high) = SCALES;
        let mut least = None;
        while takes(low).is_none_or(|mm| mm > mark_mm) {
            least = least.or(takes(low));
            low *= 1.05;
            if low >= high {
                return Err(least);
            }
        }
        for _ in 0..40 {
            let middle = f64::midpoint(low, high);
            if takes(middle).is_some_and(|mm| mm <= mark_mm + 1e-9) { low = middle } else { high = middle }
        }
        let found = scaled(low);
        let over = mark_mm - takes(low).unwrap_or(0.0);
        if found.finished(workshop).is_err() || over > MOST_OVER_MM && !turns {
            return Err(takes(low));
        }
        Ok((found, low))
    }
}

impl FormedPiece<'_> {
    /// Inside that is left of a segment bent round a diameter, mm: sprung open, and grown where it is hammered afterwards.
    pub(super) fn leaves_mm(&self, segment: usize, diameter_mm: f64) -> Option<f64> {
        let shape = self.design.segments.get(segment)?;
        let profile = self.design.profile;
        let bending = self.bending_of(segment, shape);
        let c = bending.profile.centroid_mm();
        let relaxed = bending.relaxed(1.0 / (diameter_mm / 2.0 + c));
        (relaxed > 0.0).then(|| 2.0 * (shape.opens(profile) / relaxed - c))
    }
}

impl PatternRequest {
    /// The headline of what comes of it: `Open ear wires cut from 50.8 mm (2 in): back 15.7 mm instead of 19 mm`.
    #[must_use]
    pub(crate) fn of_tools_told(&self, tools: &Tools, fitted: &Fitted, unit: LengthUnit) -> String {
        let mut of = vec![];
        of.extend(tools.cut_mm.map(|mm| text!("from-tools-cut-from", mm = both(mm))));
        of.extend(tools.plier.as_ref().map(|plier| text!("from-tools-on", plier = plier.trim())));
        of.extend(tools.jaw_mm.map(|mm| text!("from-tools-at-mark-from-tip", mm = on_ruler(mm, unit))));
        let name = capital(self.kind.0.plural.as_str());
        let changes = if fitted.changes.is_empty() {
            text!("from-tools-usual-size").to_owned()
        } else {
            fitted.changes.join("; ")
        };
        format!("{name} {}: {changes}.", of.join(", "))
    }
}
