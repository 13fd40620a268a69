//! Which blank is cut from which spool, offcut or straight length.
//!
//! A [`CutRequest`] is what is wanted and what there is; [`CutRequest::solve`] gives a [`CutPlan`]. The
//! aim, in this order: make everything, or as much of it by length as can be; take as little as can be off
//! whole stock, since wire from rests costs nothing more; leave little of the rests unused; leave few rests.
//! The two of a pair come from one piece of stock where that can be, whatever it costs of the others ([`pairs`]).
//! A rest's trim is no reason to open a spool. Small cases are solved exactly ([`exact`]), others by
//! filling each piece of stock as a bounded knapsack ([`fill`]) in many orders ([`search`]).

mod exact;
mod fill;
mod pairs;
pub mod picked;
mod score;
mod search;
mod written;

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span};
use crate::rack::stock::StockKind;
use crate::words::length::LengthUnit;
use lorimant_text::{Text, text};

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
    /// What is measured off for one, from flush face to flush face, mm: the number of its sheet. None for what is just a
    /// length of wire.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub ruler_mm: Option<f64>,
    /// How many.
    pub n: u32,
    /// Whether they go in pairs, whose two are cut from one piece of stock where that can be.
    #[serde(default, skip_serializing_if = "std::ops::Not::not")]
    pub pair: bool,
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
    /// What is measured off for one, flush face to flush face, mm.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub ruler_mm: Option<f64>,
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
    /// Pairs whose two come from two pieces of stock, because no other way was found.
    #[serde(default)]
    pub split_pairs_n: usize,
    /// What it comes to.
    pub text: String,
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
            let message = text!("cut-plan-pieces-stock-too-many-for", stock = self.stock.len(), MOST_STOCK);
            faults.add(Fault::new("stock", message).limit(5000.0));
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
                let message = text!("cut-plan-blanks-too-many-for-one", blanks, MOST_BLANKS);
                faults.add(Fault::new(format!("stock[{i}].cuts"), message).limit(100_000.0));
            }
        }
        for (field, value) in
            [("scrap_mm", self.scrap_mm), ("used_mm", self.used_mm), ("lower_bound_mm", self.lower_bound_mm)]
        {
            faults.keep(
                Span { noun: Text::named("cut-plan-length"), unit: " mm", least: 0.0, most: 1e11 }
                    .check(field, value),
            );
        }
        faults.into_result()
    }
}

impl CutRequest {
    const STOCK: Span =
        Span { noun: Text::named("cut-plan-length-in-stock"), unit: " mm", least: 0.0, most: 10_000_000.0 };
    const BLANK: Span =
        Span { noun: Text::named("cut-plan-blank"), unit: " mm", least: 0.5, most: 1_000_000.0 };
    const LOSS: Span = Span { noun: Text::named("cut-plan-loss"), unit: " mm", least: 0.0, most: 100.0 };
    const USEFUL: Span = Span {
        noun: Text::named("cut-plan-shortest-useful-length"),
        unit: " mm",
        least: 0.0,
        most: 100_000.0,
    };

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
            let message = text!("cut-plan-pieces-stock-too-many-plan", stock = self.stock.len(), MOST_STOCK);
            faults.add(Fault::new("stock", message).limit(5000.0));
        }
        if self.demand.is_empty() || self.demand.len() > MOST_DEMANDS {
            let message = text!("cut-plan-lengths-entered-enter-1", demand = self.demand.len(), MOST_DEMANDS);
            faults.add(Fault::new("demand", message).limit(1000.0));
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
            let message = text!("cut-plan-blanks-too-many-plan-at", blanks, MOST_BLANKS);
            faults.add(Fault::new("demand", message).limit(100_000.0));
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
    ///     demand: vec![Demand { id: "hooks".to_owned(), length_mm: 40.0, ruler_mm: None, n: 2, pair: true }],
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
        let mut best = match exact::solve(self) {
            Some(best) => Found { counts: best, optimal: true },
            None => search::solve(self, go_on),
        };
        let alone = self.score(&best.counts);
        self.pair_up(&mut best.counts);
        best.optimal &= !alone.better_than(&self.score(&best.counts));
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
}

/// Lengths that differ by less are the same, mm.
const SLACK_MM: f64 = 1e-6;

/// Counts of each demand from each piece of stock.
struct Found {
    counts: Vec<Vec<u32>>,
    optimal: bool,
}

fn named_once<'a>(field: &str, ids: impl Iterator<Item = &'a str>, faults: &mut Faults) {
    let mut seen = std::collections::HashSet::new();
    for (i, id) in ids.enumerate() {
        let length = id.chars().count();
        if length == 0 || length > 80 {
            faults.add(Fault::new(format!("{field}[{i}].id"), text!("cut-plan-enter-name-1-80-characters")));
        } else if !seen.insert(id) {
            let message = text!("cut-plan-used-twice-give-each-its", id);
            faults.add(Fault::new(format!("{field}[{i}].id"), message));
        }
    }
}
