//! A plan as it is read at the bench: rests first, each piece of stock with its cuts, what is short and what is left.

use super::{Cut, CutPlan, CutRequest, Found, SLACK_MM, Short, StockCut};
use crate::rack::stock::StockKind;
use crate::tool::cutting::CAUTION;
use crate::words::length::{LengthUnit, on_ruler, shown};
use crate::words::scale::of_wire;
use lorimant_text::text;

impl CutRequest {
    pub(super) fn plan(&self, found: &Found, unit: LengthUnit) -> CutPlan {
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
        let (optimal, text, caution) = (found.optimal, String::new(), CAUTION.to_string());
        let plan = CutPlan {
            stock,
            scrap_mm,
            offcuts_mm,
            short,
            used_mm,
            lower_bound_mm,
            gap,
            optimal,
            split_pairs_n: self.split_pairs(&found.counts),
            text,
            caution,
        };
        CutPlan { text: plan.in_words(unit), ..plan }
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
            .map(|(n, demand)| Cut {
                demand: demand.id.clone(),
                length_mm: demand.length_mm,
                ruler_mm: demand.ruler_mm,
                n: *n,
            })
            .collect();
        cuts.sort_by(|a, b| b.length_mm.total_cmp(&a.length_mm));
        let (scrap_mm, offcut_mm) = self.left(stock, counts);
        // Several of one length are cut by the first of them: it is measured, the others are held to it.
        let each = |cut: &Cut| match (on_ruler(cut.ruler_mm.unwrap_or(cut.length_mm), unit), cut.n) {
            (length, 1) => text!("written-one", length, demand = cut.demand),
            (length, n) => text!("written-template-more-from", length, n = n - 1, demand = cut.demand),
        };
        let each: Vec<String> = cuts.iter().map(each).collect();
        let rest = if offcut_mm > 0.0 {
            let stays = if piece.kind == StockKind::Spool {
                text!("written-stays-on-spool")
            } else {
                text!("written-left-as-offcut")
            };
            format!(" {} {stays}.", of_wire(offcut_mm, unit))
        } else {
            String::new()
        };
        let scrap = match scrap_mm {
            mm if mm < 0.05 => String::new(),
            mm => text!("written-scrap", mm = on_ruler(mm, unit)),
        };
        let text = text!("written-flush-end-cut", each = each.join(text!("written-then")), rest, scrap);
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
}

impl CutPlan {
    /// What it comes to, in a sentence, in the unit read first.
    fn in_words(&self, unit: LengthUnit) -> String {
        let blanks: u64 = self.stock.iter().flat_map(|s| &s.cuts).map(|cut| u64::from(cut.n)).sum();
        let short: u64 = self.short.iter().map(|short| u64::from(short.n)).sum();
        let made = match short {
            0 => text!("written-everything-cut").to_owned(),
            1 => text!("written-1-short").to_owned(),
            n => text!("written-short", n),
        };
        let near = if self.optimal {
            text!("written-no-plan-uses-less").to_owned()
        } else {
            text!("written-at-most-more-wire-than", gap = shown((100.0 * self.gap).max(0.01), 2))
        };
        let blanks = text!("count-blank", n = blanks);
        let pairs = match self.split_pairs_n {
            0 => String::new(),
            1 => text!("written-two-one-pair-come-from").to_owned(),
            n => text!("written-pairs-have-their-two-from", n),
        };
        text!(
            "written-from-scrap",
            blanks,
            stock = text!("count-piece", n = self.stock.len()),
            made,
            scrap_mm = on_ruler(self.scrap_mm, unit),
            near,
            pairs
        )
    }
}
