//! What confirming a cut plan takes off the rack.

use serde::{Deserialize, Serialize};

use super::Lot;
use super::scrap::{Cleanliness, ScrapChange};
use super::{Movement, MovementKind, StockKind, both_ways};
use crate::fault::{Fault, Faults, Span, check_text};
use crate::words::date;
use crate::words::length::{LengthUnit, caliper, on_ruler};
use crate::words::scale::of_wire;
use lorimant_text::{Text, text};

/// Blanks of one length cut from a lot.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct BlanksCut {
    /// What they are for, at most 120 characters.
    pub what: String,
    /// Length of one, mm.
    pub length_mm: f64,
    /// How many.
    pub n: u32,
}

/// What was cut from one lot.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct LotCut {
    /// The lot's number.
    pub lot: i64,
    /// The blanks.
    pub cuts: Vec<BlanksCut>,
    /// Taken off its end to make it flush, mm.
    #[serde(default)]
    pub trim_mm: f64,
    /// Taken by each blank's cut, mm.
    #[serde(default)]
    pub kerf_mm: f64,
    /// A rest shorter than this goes to scrap, mm.
    #[serde(default)]
    pub shortest_useful_mm: f64,
}

impl LotCut {
    const BLANK: Span =
        Span { noun: Text::named("booking-blank"), unit: " mm", least: 0.5, most: 1_000_000.0 };
    const LOSS: Span = Span { noun: Text::named("booking-loss"), unit: " mm", least: 0.0, most: 100.0 };
    const USEFUL: Span = Span {
        noun: Text::named("booking-shortest-useful-length"),
        unit: " mm",
        least: 0.0,
        most: 100_000.0,
    };

    /// The same without blanks that are booked elsewhere; what is left of the lot then goes on, however short it is. Nothing
    /// where nothing else was cut.
    ///
    /// ```
    /// use lorimant_core::rack::stock::booking::{BlanksCut, LotCut};
    ///
    /// let blanks = |what: &str| BlanksCut { what: what.to_owned(), length_mm: 60.0, n: 2 };
    /// let cuts = vec![blanks("picked"), blanks("at the bench")];
    /// let cut = LotCut { lot: 1, cuts, trim_mm: 0.0, kerf_mm: 0.0, shortest_useful_mm: 40.0 };
    /// let here = cut.without(|what| what == "at the bench").unwrap();
    /// assert_eq!((here.cuts.len(), here.shortest_useful_mm), (1, 0.0));
    /// assert_eq!(here.without(|_| true), None);
    /// ```
    #[must_use]
    pub fn without(mut self, elsewhere: impl Fn(&str) -> bool) -> Option<Self> {
        let all_n = self.cuts.len();
        self.cuts.retain(|cut| !elsewhere(&cut.what));
        if self.cuts.len() < all_n {
            self.shortest_useful_mm = 0.0;
        }
        (!self.cuts.is_empty()).then_some(self)
    }

    /// The ledger lines of the cut, given what was left of the lot, mm: blanks, trims, and a rest too
    /// short to use. They never take more than there was.
    ///
    /// ```
    /// use lorimant_core::words::length::LengthUnit;
    /// use lorimant_core::rack::stock::MovementKind;
    /// use lorimant_core::rack::stock::booking::{BlanksCut, LotCut};
    ///
    /// let cut = LotCut {
    ///     lot: 1,
    ///     cuts: vec![BlanksCut { what: "hooks".into(), length_mm: 60.0, n: 4 }],
    ///     trim_mm: 0.5,
    ///     kerf_mm: 0.0,
    ///     shortest_useful_mm: 30.0,
    /// };
    /// // Of 260 mm, 240 become blanks; what is left is too short to keep.
    /// let lines = cut.lines(260.0, LengthUnit::Mm).unwrap();
    /// assert_eq!((lines[0].kind, lines[0].length_mm), (MovementKind::Cut, -240.0));
    /// let out: f64 = lines.iter().map(|line| line.length_mm).sum();
    /// assert!((out + 260.0).abs() < 1e-9);
    /// assert!(cut.lines(200.0, LengthUnit::Mm).is_err());
    /// ```
    ///
    /// # Errors
    /// Faults for lengths out of limits; and one that says how much is missing where the lot does not
    /// hold the blanks.
    pub fn lines(&self, left_mm: f64, unit: LengthUnit) -> Result<Vec<Movement>, Faults> {
        let mut faults = Faults::none();
        for (i, cut) in self.cuts.iter().enumerate() {
            faults.keep(Self::BLANK.check(&format!("cuts[{i}].length_mm"), cut.length_mm));
            if cut.n == 0 || cut.n > 100_000 {
                let message = text!("booking-not-number-blanks-enter-1", n = cut.n);
                faults.add(Fault::new(format!("cuts[{i}].n"), message).limit(100_000.0));
            }
            faults.keep(check_text(
                &format!("cuts[{i}].what"),
                text!("booking-name-what-for"),
                &cut.what,
                120,
            ));
        }
        if self.cuts.is_empty() {
            faults.add(Fault::new("cuts", text!("booking-nothing-cut-from-this-lot")));
        }
        faults.keep(Self::LOSS.check("trim_mm", self.trim_mm));
        faults.keep(Self::LOSS.check("kerf_mm", self.kerf_mm));
        faults.keep(Self::USEFUL.check("shortest_useful_mm", self.shortest_useful_mm));
        if !faults.is_empty() {
            return Err(faults);
        }
        let blanks: f64 = self.cuts.iter().map(|cut| f64::from(cut.n) * cut.length_mm).sum();
        let cuts: f64 = self.cuts.iter().map(|cut| f64::from(cut.n)).sum();
        let trimmed = self.trim_mm + cuts * self.kerf_mm;
        let rest = left_mm - blanks - trimmed;
        if rest < -LEAST_MM {
            let message = text!(
                "booking-these-blanks-need-with-their",
                blanks = on_ruler(blanks + trimmed, unit),
                left_mm = on_ruler(left_mm, unit),
                rest = on_ruler(-rest, unit)
            );
            return Err(Fault::new("cuts", message).limit(left_mm).into());
        }
        let mut lines: Vec<Movement> = self
            .cuts
            .iter()
            .map(|cut| Movement {
                kind: MovementKind::Cut,
                length_mm: -f64::from(cut.n) * cut.length_mm,
                note: text!(
                    "booking-at",
                    n = cut.n,
                    length_mm = caliper(cut.length_mm, unit),
                    what = cut.what
                ),
            })
            .collect();
        let mut out = |kind, length_mm: f64, note: &str| {
            if length_mm >= LEAST_MM {
                lines.push(Movement { kind, length_mm: -length_mm, note: note.to_owned() });
            }
        };
        out(MovementKind::Trimmed, trimmed.min(left_mm - blanks), text!("booking-flush-cuts-kerf"));
        if rest < self.shortest_useful_mm {
            out(MovementKind::Scrapped, rest, text!("booking-too-short-use"));
        }
        Ok(lines)
    }
}

/// Less scrap than this is not worth a line, g.
const LEAST_G: f64 = 0.001;

impl Lot {
    /// What lines of its ledger put on the scrap pile: rests too short to use are clean, of one metal.
    pub fn scrap_of(&self, lines: &[Movement]) -> Option<ScrapChange> {
        let scrapped = lines.iter().filter(|line| line.kind == MovementKind::Scrapped);
        let mass_g = self.wire.mass_g(scrapped.map(|line| -line.length_mm).sum());
        let note = text!("booking-offcut", name = self.name);
        let metal = self.wire.metal;
        (mass_g >= LEAST_G).then_some(ScrapChange { metal, cleanliness: Cleanliness::Clean, mass_g, note })
    }

    /// A rest of it as a lot of its own, with its share of the price and without the spool's weight; and the lines
    /// that move so much wire from this lot to that one.
    ///
    /// ```
    /// use lorimant_core::rack::stock::{Lot, StockKind};
    ///
    /// let lot: Lot = serde_json::from_str(
    ///     r#"{"name": "Blue spool", "wire": {"metal": "copper", "size_mm": 1.0}, "price": "9.40", "bought_mm": 20000, "tare_g": 62}"#,
    /// ).unwrap();
    /// let (rest, comes_in, goes_out) = lot.set_aside("Blue spool, rest", 500.0);
    /// assert_eq!(rest.kind, StockKind::Offcut);
    /// assert_eq!(comes_in.length_mm + goes_out.length_mm, 0.0);
    /// ```
    pub fn set_aside(&self, name: &str, length_mm: f64) -> (Self, Movement, Movement) {
        let per_metre = self.per_metre();
        let rest = Self {
            name: name.to_owned(),
            kind: StockKind::Offcut,
            price: per_metre.and_then(|price| Self::price_of_length(price, length_mm)),
            bought_mm: per_metre.map(|_| length_mm),
            tare_g: None,
            note: text!("booking-from", name = self.name),
            // As its coils do, its pull tests stay with the lot they were made of.
            pulls: vec![],
            ..self.clone()
        };
        let line = |length_mm: f64, note: String| Movement { kind: MovementKind::Corrected, length_mm, note };
        let out = line(-length_mm, text!("booking-set-aside-as", name));
        let onto = line(length_mm, text!("booking-set-aside-from", name = self.name));
        (rest, out, onto)
    }

    /// The lot as it comes in with so much wire, and the line that books it as bought.
    ///
    /// ```
    /// use lorimant_core::rack::stock::Lot;
    ///
    /// let lot: Lot = serde_json::from_str(
    ///     r#"{"name": "Blue spool", "wire": {"metal": "copper", "size_mm": 1.0}, "price": "9.40", "bought_mm": 20000, "tare_g": 62}"#,
    /// ).unwrap();
    /// let (lot, line) = lot.received(Some(5000.0), None).unwrap();
    /// assert_eq!(line.length_mm, 5000.0);
    /// assert_eq!(lot.bought_mm, Some(20_000.0), "what its price is for stays");
    /// ```
    ///
    /// # Errors
    /// Faults of the lot, of the amount, and of the line.
    pub fn received(
        mut self,
        length_mm: Option<f64>,
        mass_g: Option<f64>,
    ) -> Result<(Self, Movement), Faults> {
        self.check()?;
        let (length_mm, _) = both_ways(&self.wire, length_mm, mass_g)?;
        let bought_on = self.bought_on.as_ref().and_then(|day| day.parse().ok()).map(date::long);
        let note = bought_on.map(|day| text!("booking-came-in", day)).unwrap_or_default();
        let line = Movement { kind: MovementKind::Bought, length_mm, note };
        line.check()?;
        self.bought_mm = self.bought_mm.or(Some(length_mm));
        Ok((self, line))
    }

    /// What receiving it will do, in a sentence: which lot it will be, beside those of the same wire.
    ///
    /// ```
    /// use lorimant_core::words::length::LengthUnit;
    /// use lorimant_core::rack::stock::Lot;
    ///
    /// let lot: Lot = serde_json::from_str(
    ///     r#"{"name": "Blue spool", "wire": {"metal": "copper", "size_mm": 1.0}, "price": "9.40", "bought_mm": 20000, "tare_g": 62}"#,
    /// ).unwrap();
    /// assert!(lot.receiving(5000.0, &[], LengthUnit::Mm).contains("5 m"));
    /// ```
    pub fn receiving(&self, length_mm: f64, others: &[Self], unit: LengthUnit) -> String {
        let same: Vec<&str> = others
            .iter()
            .filter(|lot| lot.covered_wire().stands_for(&self.covered_wire()))
            .map(|lot| lot.name.as_str())
            .collect();
        let beside = match same.as_slice() {
            [] => text!("booking-first-this-wire").to_owned(),
            [one] => text!("booking-beside", one),
            [one, more @ ..] => text!("booking-beside-more-lots-this-wire", one, more = more.len()),
        };
        let wire = self.wire.shown(unit);
        text!("booking-new-lot", name = self.name.trim(), beside, length_mm = of_wire(length_mm, unit), wire)
    }
}

/// The ledger counts in thousandths of a millimetre: less is nothing.
pub const LEAST_MM: f64 = 0.001;
