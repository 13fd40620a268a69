//! Which blank is cut from which spool, offcut or straight length.
//!
//! A [`CutRequest`] is what is wanted and what there is; [`CutRequest::solve`] gives a [`CutPlan`]. The
//! aim, in this order: make everything, or as much of it by length as can be; take as little as can be off
//! whole stock, since wire from rests costs nothing more; leave little of the rests unused; leave few rests.
//! A rest's trim is no reason to open a spool. Small cases are solved exactly ([`exact`]), others by
//! filling each piece of stock as a bounded knapsack ([`fill`]) in many orders ([`search`]).

mod exact;
mod fill;
pub mod picked;
mod search;

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::rack::stock::StockKind;
use crate::tool::cutting::CAUTION;
use crate::words::length::{LengthUnit, exactly, said, shown};

/// A piece of wire that can be cut from.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Stock {
    /// What it is called; 1 to 80 characters, no two alike.
    pub id: String,
    /// Its length, mm.
    pub length_mm: f64,
    /// What it is.
    pub kind: StockKind,
}

/// Blanks of one length that are wanted.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Demand {
    /// What it is called; 1 to 80 characters, no two alike.
    pub id: String,
    /// Length of one as it is cut, its own trims included, mm.
    pub length_mm: f64,
    /// How many.
    pub n: u32,
}

/// What is wanted, what there is, and what cutting takes.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct CutRequest {
    /// The wire there is, at most 5000 pieces.
    pub stock: Vec<Stock>,
    /// The blanks wanted, at most 1000 lengths and 100 000 blanks.
    pub demand: Vec<Demand>,
    /// Taken once off the end of each piece of stock that is cut from, to make it flush, mm.
    #[serde(default)]
    pub trim_mm: f64,
    /// Taken by each blank's cut, mm.
    #[serde(default)]
    pub kerf_mm: f64,
    /// A rest shorter than this is scrap, mm.
    #[serde(default)]
    pub shortest_useful_mm: f64,
}

/// So many blanks of one length out of one piece of stock.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Cut {
    /// Which demand.
    pub demand: String,
    /// Length of one, mm.
    pub length_mm: f64,
    /// How many.
    pub n: u32,
}

/// What is cut from one piece of stock: the longest blanks first.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct StockCut {
    /// Which piece of stock.
    pub stock: String,
    /// What it is.
    pub kind: StockKind,
    /// Its length, mm.
    pub length_mm: f64,
    /// What is cut from it.
    pub cuts: Vec<Cut>,
    /// What is lost of it: trim, kerfs, a rest too short to use, mm.
    pub scrap_mm: f64,
    /// What is left to use, mm; 0 where nothing is.
    pub offcut_mm: f64,
    /// The same in a sentence.
    pub text: String,
}

/// Blanks that the stock does not give.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Short {
    /// Which demand.
    pub demand: String,
    /// How many are short.
    pub n: u32,
    /// How much wire they are, kerfs included, mm.
    pub length_mm: f64,
}

/// A cut plan.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct CutPlan {
    /// What is cut from each piece of stock that is touched, in bench order.
    pub stock: Vec<StockCut>,
    /// Everything lost, mm.
    pub scrap_mm: f64,
    /// The usable rests of what was touched, longest first, mm.
    pub offcuts_mm: Vec<f64>,
    /// What is short, by demand; empty where everything is made.
    pub short: Vec<Short>,
    /// Wire that is used up: blanks and scrap, mm.
    pub used_mm: f64,
    /// No plan that makes as much can use up less than this, mm.
    pub lower_bound_mm: f64,
    /// How far `used_mm` is above that, as a share of it.
    pub gap: f64,
    /// Whether no better plan exists.
    pub optimal: bool,
    /// What it comes to.
    pub sentence: String,
    /// What to mind while cutting; the maker of the tool comes first.
    pub caution: String,
}

/// How far a long solve has come.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Progress {
    /// Ways of filling the stock that were tried.
    pub tried_n: usize,
    /// Ways there are to try.
    pub of_n: usize,
    /// Scrap of the best so far, mm.
    pub scrap_mm: f64,
    /// What the best so far does not make, mm.
    pub short_mm: f64,
}

/// Most pieces of stock.
const MOST_STOCK: usize = 5000;
/// Most lengths, and most blanks.
const MOST_DEMANDS: usize = 1000;
const MOST_BLANKS: u64 = 100_000;

impl CutPlan {
    /// Checks a plan that comes from outside: numbers, counts, names.
    ///
    /// # Errors
    /// Every fault found, each at its field.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if self.stock.len() > MOST_STOCK {
            let said = format!(
                "{} pieces of stock are too many for one plan; at most {MOST_STOCK}.",
                self.stock.len()
            );
            faults.add(Fault::new("stock", said).limit(5000.0));
        }
        for (i, piece) in self.stock.iter().enumerate() {
            let lengths = [
                ("length_mm", piece.length_mm),
                ("scrap_mm", piece.scrap_mm),
                ("offcut_mm", piece.offcut_mm),
            ];
            for (field, mm) in lengths {
                faults.keep(CutRequest::STOCK.check(&format!("stock[{i}].{field}"), mm));
            }
            for (k, cut) in piece.cuts.iter().enumerate() {
                faults
                    .keep(CutRequest::BLANK.check(&format!("stock[{i}].cuts[{k}].length_mm"), cut.length_mm));
            }
            let blanks: u64 = piece.cuts.iter().map(|cut| u64::from(cut.n)).sum();
            if blanks > MOST_BLANKS {
                let said = format!("{blanks} blanks are too many for one piece; at most {MOST_BLANKS}.");
                faults.add(Fault::new(format!("stock[{i}].cuts"), said).limit(100_000.0));
            }
        }
        for (field, value) in
            [("scrap_mm", self.scrap_mm), ("used_mm", self.used_mm), ("lower_bound_mm", self.lower_bound_mm)]
        {
            faults.keep(Span { noun: "length", unit: " mm", least: 0.0, most: 1e11 }.check(field, value));
        }
        faults.into_result()
    }

    /// What it comes to, in a sentence, in the unit read first.
    fn said(&self, unit: LengthUnit) -> String {
        let blanks: u64 = self.stock.iter().flat_map(|s| &s.cuts).map(|cut| u64::from(cut.n)).sum();
        let short: u64 = self.short.iter().map(|short| u64::from(short.n)).sum();
        let pieces = if self.stock.len() == 1 { "piece" } else { "pieces" };
        let made = match short {
            0 => "everything is made".to_owned(),
            1 => "1 is short".to_owned(),
            n => format!("{n} are short"),
        };
        let near = if self.optimal {
            "no plan does better".to_owned()
        } else {
            format!("at most {} % more wire than any plan must use", shown((100.0 * self.gap).max(0.01), 2))
        };
        let blanks = if blanks == 1 { "1 blank".to_owned() } else { format!("{blanks} blanks") };
        format!(
            "{blanks} from {} {pieces}: {made}, {} is scrap; {near}.",
            self.stock.len(),
            said(self.scrap_mm, unit)
        )
    }
}

impl CutRequest {
    const STOCK: Span = Span { noun: "length in stock", unit: " mm", least: 0.0, most: 10_000_000.0 };
    const BLANK: Span = Span { noun: "blank", unit: " mm", least: 0.5, most: 1_000_000.0 };
    const LOSS: Span = Span { noun: "loss", unit: " mm", least: 0.0, most: 100.0 };
    const USEFUL: Span = Span { noun: "shortest useful length", unit: " mm", least: 0.0, most: 100_000.0 };

    /// Checks everything that is asked.
    ///
    /// ```
    /// use lorimant_core::rack::cut_plan::CutRequest;
    ///
    /// let request: CutRequest = serde_json::from_str(
    ///     r#"{"stock": [], "demand": [{"id": "hooks", "length_mm": -4, "n": 2}]}"#,
    /// ).unwrap();
    /// assert_eq!(request.check().unwrap_err().0[0].field, "demand[0].length_mm");
    /// ```
    ///
    /// # Errors
    /// Every fault found, each at its field.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if self.stock.len() > MOST_STOCK {
            let said = format!(
                "{} pieces of stock are too many to plan at once; at most {MOST_STOCK}.",
                self.stock.len()
            );
            faults.add(Fault::new("stock", said).limit(5000.0));
        }
        if self.demand.is_empty() || self.demand.len() > MOST_DEMANDS {
            let said = format!("{} lengths are wanted. Ask for 1 to {MOST_DEMANDS}.", self.demand.len());
            faults.add(Fault::new("demand", said).limit(1000.0));
        }
        for (i, stock) in self.stock.iter().enumerate() {
            faults.keep(Self::STOCK.check(&format!("stock[{i}].length_mm"), stock.length_mm));
        }
        for (i, demand) in self.demand.iter().enumerate() {
            faults.keep(Self::BLANK.check(&format!("demand[{i}].length_mm"), demand.length_mm));
        }
        named_once("stock", self.stock.iter().map(|stock| stock.id.as_str()), &mut faults);
        named_once("demand", self.demand.iter().map(|demand| demand.id.as_str()), &mut faults);
        let blanks: u64 = self.demand.iter().map(|demand| u64::from(demand.n)).sum();
        if blanks > MOST_BLANKS {
            let said = format!("{blanks} blanks are too many to plan at once; at most {MOST_BLANKS}.");
            faults.add(Fault::new("demand", said).limit(100_000.0));
        }
        faults.keep(Self::LOSS.check("trim_mm", self.trim_mm));
        faults.keep(Self::LOSS.check("kerf_mm", self.kerf_mm));
        faults.keep(Self::USEFUL.check("shortest_useful_mm", self.shortest_useful_mm));
        faults.into_result()
    }

    /// Plans the cuts, with its texts in the unit read first. `go_on` is told now and then how far it has come, and says whether to look for
    /// something better still; a first good plan is made before it is asked at all.
    ///
    /// # Errors
    /// As [`CutRequest::check`].
    ///
    /// ```
    /// use lorimant_core::rack::cut_plan::{CutRequest, Demand, Stock};
    /// use lorimant_core::rack::stock::StockKind;
    /// use lorimant_core::words::length::LengthUnit;
    ///
    /// let rest = |id: &str, length_mm| Stock { id: id.to_owned(), length_mm, kind: StockKind::Offcut };
    /// let spool = Stock { id: "spool".to_owned(), length_mm: 5000.0, kind: StockKind::Spool };
    /// let request = CutRequest {
    ///     stock: vec![spool, rest("rest", 81.0)],
    ///     demand: vec![Demand { id: "hooks".to_owned(), length_mm: 40.0, n: 2 }],
    ///     trim_mm: 0.5,
    ///     kerf_mm: 0.0,
    ///     shortest_useful_mm: 30.0,
    /// };
    /// // Both fit the rest: no spool is opened.
    /// let plan = request.solve(LengthUnit::Mm, &|_| true).unwrap();
    /// assert_eq!(plan.stock.len(), 1);
    /// assert_eq!(plan.stock[0].stock, "rest");
    /// ```
    pub fn solve(&self, unit: LengthUnit, go_on: &dyn Fn(Progress) -> bool) -> Result<CutPlan, Faults> {
        self.check()?;
        let best = match exact::solve(self) {
            Some(best) => Found { counts: best, optimal: true },
            None => search::solve(self, go_on),
        };
        Ok(self.plan(&best, unit))
    }

    /// What each blank of a demand takes, mm.
    fn takes(&self, demand: usize) -> f64 {
        self.demand[demand].length_mm + self.kerf_mm
    }

    /// What can be cut from a piece of stock once its end is flush, mm.
    fn room(&self, stock: usize) -> f64 {
        (self.stock[stock].length_mm - self.trim_mm).max(0.0)
    }

    fn plan(&self, found: &Found, unit: LengthUnit) -> CutPlan {
        let mut stock: Vec<StockCut> = found
            .counts
            .iter()
            .enumerate()
            .filter(|(_, counts)| counts.iter().any(|n| *n > 0))
            .map(|(i, counts)| self.cut(i, counts, unit))
            .collect();
        // Rests are used up first at the bench, then the longest of what is whole.
        stock.sort_by(|a, b| {
            (a.kind != StockKind::Offcut, b.length_mm)
                .partial_cmp(&(b.kind != StockKind::Offcut, a.length_mm))
                .unwrap_or(std::cmp::Ordering::Equal)
        });
        let short: Vec<Short> = self
            .demand
            .iter()
            .enumerate()
            .filter_map(|(d, demand)| {
                let made: u32 = found.counts.iter().map(|counts| counts[d]).sum();
                let n = demand.n - made;
                (n > 0).then(|| Short {
                    demand: demand.id.clone(),
                    n,
                    length_mm: f64::from(n) * self.takes(d),
                })
            })
            .collect();
        let mut offcuts_mm: Vec<f64> = stock.iter().map(|cut| cut.offcut_mm).filter(|mm| *mm > 0.0).collect();
        offcuts_mm.sort_by(|a, b| b.total_cmp(a));
        let scrap_mm: f64 = stock.iter().map(|cut| cut.scrap_mm).sum();
        let made_mm: f64 =
            stock.iter().flat_map(|s| &s.cuts).map(|cut| f64::from(cut.n) * cut.length_mm).sum();
        let used_mm = made_mm + scrap_mm;
        let lower_bound_mm = self.lower_bound(found).min(used_mm);
        let gap = if lower_bound_mm > 0.0 { used_mm / lower_bound_mm - 1.0 } else { 0.0 };
        let (optimal, sentence, caution) = (found.optimal, String::new(), CAUTION.to_owned());
        let plan = CutPlan {
            stock,
            scrap_mm,
            offcuts_mm,
            short,
            used_mm,
            lower_bound_mm,
            gap,
            optimal,
            sentence,
            caution,
        };
        CutPlan { sentence: plan.said(unit), ..plan }
    }

    /// Blanks and their kerfs, and one trim for each of the fewest pieces of stock that hold them.
    fn lower_bound(&self, found: &Found) -> f64 {
        let taken: f64 = (0..self.demand.len())
            .map(|d| {
                let made: u32 = found.counts.iter().map(|counts| counts[d]).sum();
                f64::from(made) * self.takes(d)
            })
            .sum();
        let mut rooms: Vec<f64> = (0..self.stock.len()).map(|s| self.room(s)).collect();
        rooms.sort_by(|a, b| b.total_cmp(a));
        let (mut held, mut trims) = (0.0, 0.0);
        for room in rooms {
            if held >= taken - SLACK_MM {
                break;
            }
            held += room;
            trims += self.trim_mm;
        }
        taken + trims
    }

    fn cut(&self, stock: usize, counts: &[u32], unit: LengthUnit) -> StockCut {
        let piece = &self.stock[stock];
        let mut cuts: Vec<Cut> = counts
            .iter()
            .zip(&self.demand)
            .filter(|(n, _)| **n > 0)
            .map(|(n, demand)| Cut { demand: demand.id.clone(), length_mm: demand.length_mm, n: *n })
            .collect();
        cuts.sort_by(|a, b| b.length_mm.total_cmp(&a.length_mm));
        let (scrap_mm, offcut_mm) = self.left(stock, counts);
        // Several of one length are cut by the first of them: it is measured, the others are held to it.
        let each = |cut: &Cut| match (exactly(cut.length_mm, unit), cut.n) {
            (length, 1) => format!("one at {length} ({})", cut.demand),
            (length, n) => format!("the template at {length} and {} more by it ({})", n - 1, cut.demand),
        };
        let each: Vec<String> = cuts.iter().map(each).collect();
        let rest = if offcut_mm > 0.0 {
            let stays =
                if piece.kind == StockKind::Spool { "stays on the spool" } else { "is left as a rest" };
            format!(" {} {stays}.", said(offcut_mm, unit))
        } else {
            String::new()
        };
        let text =
            format!("Flush the end; cut {}.{rest} {} is scrap.", each.join(", then "), said(scrap_mm, unit));
        StockCut {
            stock: piece.id.clone(),
            kind: piece.kind,
            length_mm: piece.length_mm,
            cuts,
            scrap_mm,
            offcut_mm,
            text,
        }
    }

    /// What is lost of a piece of stock that is cut so, and what is left of it to use, mm.
    fn left(&self, stock: usize, counts: &[u32]) -> (f64, f64) {
        let n: u32 = counts.iter().sum();
        if n == 0 {
            return (0.0, 0.0);
        }
        let blanks: f64 = counts.iter().zip(&self.demand).map(|(n, d)| f64::from(*n) * d.length_mm).sum();
        let kerfs = f64::from(n) * self.kerf_mm;
        let length = self.stock[stock].length_mm;
        let rest = (length - self.trim_mm - kerfs - blanks).max(0.0);
        if rest >= self.shortest_useful_mm && rest > SLACK_MM {
            (length - blanks - rest, rest)
        } else {
            (length - blanks, 0.0)
        }
    }

    /// How good a plan is: less is better, the first difference counts.
    fn score(&self, counts: &[Vec<u32>]) -> Score {
        let mut score = Score::default();
        for (d, demand) in self.demand.iter().enumerate() {
            let made: u32 = counts.iter().map(|counts| counts[d]).sum();
            score.0[0] += f64::from(demand.n - made) * demand.length_mm;
        }
        for (s, counts) in counts.iter().enumerate() {
            let n: u32 = counts.iter().sum();
            if n == 0 {
                continue;
            }
            let (scrap, rest) = self.left(s, counts);
            if self.stock[s].kind == StockKind::Offcut {
                // Its trim and kerfs are the price of using it at all.
                score.0[2] += scrap - self.trim_mm.min(self.stock[s].length_mm) - f64::from(n) * self.kerf_mm;
            } else {
                score.0[1] += self.stock[s].length_mm - rest;
            }
            score.0[3] += f64::from(u8::from(rest > 0.0));
        }
        score
    }

    /// Whether nothing can be better than this score: everything made without whole stock, all of each rest used.
    fn cannot_be_beaten(&self, score: &Score) -> bool {
        score.0.iter().all(|part| *part <= SLACK_MM)
    }
}

/// Lengths that differ by less are the same, mm.
const SLACK_MM: f64 = 1e-6;

/// Counts of each demand from each piece of stock.
struct Found {
    counts: Vec<Vec<u32>>,
    optimal: bool,
}

/// Short, off whole stock, unused of rests (mm each), and the number of rests left.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
struct Score([f64; 4]);

impl Score {
    fn better_than(&self, other: &Self) -> bool {
        for (a, b) in self.0.iter().zip(&other.0) {
            if (a - b).abs() > SLACK_MM {
                return a < b;
            }
        }
        false
    }
}

fn named_once<'a>(field: &str, ids: impl Iterator<Item = &'a str>, faults: &mut Faults) {
    let mut seen = std::collections::HashSet::new();
    for (i, id) in ids.enumerate() {
        let length = id.chars().count();
        if length == 0 || length > 80 {
            faults.add(Fault::new(format!("{field}[{i}].id"), "Give it a name of 1 to 80 characters."));
        } else if !seen.insert(id) {
            let said = format!("“{id}” stands twice. Give each a name of its own.");
            faults.add(Fault::new(format!("{field}[{i}].id"), said));
        }
    }
}
