//! What a listing says, weighed: what was said twice, which of two readings of a comma can be, what follows.

use rust_decimal::Decimal;
use rust_decimal::prelude::FromPrimitive as _;

use super::Listing;
use super::read::{Parsed, Per, Quantity, SaidGauge};
use crate::wire::Wire;
use crate::wire::metal::Metal;
use crate::words::gauge::{Gauge, GaugeSystem};
use crate::words::length::{Habits, shown};
use crate::words::mass::{OUNCE_G, TROY_OUNCE_G};
use crate::words::number::Separated;
use lorimant_text::text;

/// Two sizes this near, as a share, are the same one rounded: `20 ga (0.81 mm)`.
const SAME_SIZE: f64 = 0.03;
/// Two lengths this near are the same one rounded: `10 ft (3 m)`.
const SAME_LENGTH: f64 = 0.04;
/// A weight that differs more than this from that of the length is of something else, its spool perhaps.
const SAME_MASS: f64 = 0.15;

struct Settling {
    parsed: Parsed,
    habits: Habits,
    listing: Listing,
}

/// Weighs what a line says.
pub(super) fn settle(parsed: Parsed, habits: Habits) -> Listing {
    let mut settling = Settling { parsed, habits, listing: Listing::default() };
    settling.words();
    settling.size();
    settling.quantity();
    settling.price();
    settling.leftovers();
    settling.listing
}

/// The first of what was said, and a sentence where something else was said too.
fn first<T: Copy + PartialEq>(
    all: &[T],
    noun: &str,
    name: impl Fn(T) -> String,
) -> (Option<T>, Option<String>) {
    let one = all.first().copied();
    let other = all.iter().find(|other| Some(**other) != one);
    let doubt = one.zip(other).map(|(one, other)| {
        text!("settle-there-two-values-for-using", noun, one = name(one), other = name(*other))
    });
    (one, doubt)
}

impl Settling {
    fn doubt(&mut self, note: impl Into<String>) {
        let note = note.into();
        if !self.listing.doubtful.contains(&note) {
            self.listing.doubtful.push(note);
        }
    }

    fn words(&mut self) {
        let (metal, twice_metal) = first(&self.parsed.metals, "metal", |m| m.shown().to_owned());
        let (section, twice_section) = first(&self.parsed.sections, "section", |s| s.shown().to_owned());
        let (temper, twice_temper) = first(&self.parsed.tempers, "temper", |t| t.shown().to_owned());
        (self.listing.metal, self.listing.section, self.listing.temper) = (metal, section, temper);
        for twice in [twice_metal, twice_section, twice_temper].into_iter().flatten() {
            self.doubt(twice);
        }
        for (word, note) in std::mem::take(&mut self.parsed.surfaces) {
            self.listing.surface.get_or_insert(word);
            self.doubt(note);
        }
        // Filled wire has its skin in its name.
        if self.listing.surface.is_none() && metal.is_some_and(|metal| metal.figures().skin_share.is_some()) {
            self.listing.surface = Some("filled");
        }
        // A word for several metals beside one that says which adds nothing: `silver sterling`.
        match (metal, self.parsed.either.first()) {
            (None, Some(either)) => self.doubt(either.note),
            (None, None) => self.listing.missing.push(text!("settle-no-metal-given").to_owned()),
            _ => {}
        }
    }

    fn size(&mut self) {
        let sized: Vec<(f64, String)> =
            self.parsed.sizes.iter().map(|size| (size.value(), size.text.clone())).collect();
        let gauges = std::mem::take(&mut self.parsed.gauges);
        let known =
            gauges.iter().filter_map(|gauge| Some((gauge_mm(*gauge, gauge.system?)?, gauge_text(*gauge))));
        let mut all: Vec<(f64, String)> = sized;
        all.extend(known);
        let open: Vec<SaidGauge> = gauges.into_iter().filter(|gauge| gauge.system.is_none()).collect();
        for gauge in &open {
            self.open_gauge(*gauge, &mut all);
        }
        if let Some(flat) = self.parsed.flat.take() {
            self.doubt(text!("settle-flat-wire-only-round-square", flat));
        }
        let Some((size_mm, text)) = all.first().cloned() else {
            return self.listing.missing.push(text!("settle-no-size-given").to_owned());
        };
        if let Some((other_mm, other)) = all.iter().find(|(mm, _)| (mm / size_mm - 1.0).abs() > SAME_SIZE) {
            self.doubt(text!("settle-there-two-sizes-mm-using", text, other, other_mm = shown(*other_mm, 3)));
        }
        self.listing.size_mm = Some(size_mm);
    }

    /// A gauge whose system is not said: the one that agrees with a size beside it, or the workshop's, and a
    /// doubt.
    fn open_gauge(&mut self, gauge: SaidGauge, all: &mut Vec<(f64, String)>) {
        let steel = self.listing.metal.is_some_and(Metal::is_steel);
        let mut systems = vec![GaugeSystem::Awg, GaugeSystem::Swg];
        if steel {
            systems.push(GaugeSystem::SteelWire);
        }
        let beside = all.first().map(|(mm, _)| *mm);
        let agrees = beside.is_some_and(|mm| {
            let sizes = systems.iter().filter_map(|system| gauge_mm(gauge, *system));
            sizes.map(|size| (size / mm - 1.0).abs()).fold(f64::INFINITY, f64::min) <= SAME_SIZE
        });
        if agrees {
            return;
        }
        let sizes = systems.iter().filter_map(|system| {
            Some(text!("settle-mm-in", shown = shown(gauge_mm(gauge, *system)?, 3), system = system.shown()))
        });
        let sizes: Vec<String> = sizes.collect();
        let own = self.habits.gauge;
        if let Some(mm) = gauge_mm(gauge, own) {
            all.push((mm, gauge_text(gauge)));
        }
        let (n, own) = (gauge.number, own.shown());
        self.doubt(text!("settle-gauge-in-which-system-could", n, sizes = sizes.join(", "), own));
    }

    /// How much is sold: one pack times how many, by length, by weight, or both.
    fn quantity(&mut self) {
        let packs = self.packs();
        let ounces = self.ounces();
        let mut masses = std::mem::take(&mut self.parsed.masses);
        masses.extend(ounces);
        let lengths = std::mem::take(&mut self.parsed.lengths);
        let length = self.one_of(&lengths, "length", SAME_LENGTH);
        let mass = self.one_of(&masses, "weight", SAME_LENGTH);
        for n in std::mem::take(&mut self.parsed.mass_or_gauge) {
            if self.listing.size_mm.is_some() && mass.is_none() && length.is_none() {
                self.listing.mass_g = Some(n * packs);
                self.doubt(text!("settle-g-read-as-grams-because", n));
            } else {
                self.doubt(text!("settle-g-could-be-gauge-or", n));
            }
        }
        let (length_mm, mass_g) = (length.map(|q| q.value() * packs), mass.map(|q| q.value() * packs));
        self.listing.length_mm = length_mm.or(self.listing.length_mm);
        self.listing.mass_g = mass_g.or(self.listing.mass_g);
        let sold = self.listing.length_mm.is_some() || self.listing.mass_g.is_some();
        if !sold && !matches!(self.parsed.per, Some(Per::Length(_) | Per::Mass(_))) {
            self.listing.missing.push(text!("settle-no-amount-given").to_owned());
        }
        if !sold && packs > 1.0 {
            self.doubt(text!("settle-how-long-each-no-length", packs));
        }
    }

    fn packs(&mut self) -> f64 {
        let packs = std::mem::take(&mut self.parsed.packs);
        let (one, twice) = first(&packs, text!("settle-number-packs"), |n| shown(n, 0));
        if let Some(twice) = twice {
            self.doubt(twice);
        }
        let n = one.unwrap_or(1.0);
        self.parsed.packs = vec![n];
        n
    }

    /// Ounces as grams: troy for what is sold so.
    fn ounces(&mut self) -> Vec<Quantity> {
        let precious = self.listing.metal.is_some_and(|metal| metal.figures().precious);
        let ounces = std::mem::take(&mut self.parsed.ounces);
        if precious && !ounces.is_empty() {
            self.doubt(text!("settle-precious-metal-nearly-always-sold"));
        }
        let scale = if precious { TROY_OUNCE_G } else { OUNCE_G };
        ounces.into_iter().map(|ounce| Quantity { scale, ..ounce }).collect()
    }

    /// The first of several quantities; a doubt where another differs by more than a rounding.
    fn one_of(&mut self, all: &[Quantity], noun: &str, same: f64) -> Option<Quantity> {
        let one = all.first()?;
        let differs = |other: &&Quantity| (other.value() / one.value() - 1.0).abs() > same;
        if let Some(other) = all.iter().find(differs) {
            self.doubt(text!(
                "settle-there-two-values-for-using-2",
                noun,
                text = one.text,
                text2 = other.text
            ));
        }
        self.decimal_comma(one);
        Some(one.clone())
    }

    /// Says how the comma of a quantity was read, where it could part thousands.
    fn decimal_comma(&mut self, quantity: &Quantity) {
        if quantity.number.thousands.is_some() {
            self.doubt(text!("settle-comma-in-read-as-decimal", text = quantity.text));
        }
    }

    fn price(&mut self) {
        let prices = std::mem::take(&mut self.parsed.prices);
        let one = prices.first().cloned();
        if let (Some(one), Some(other)) = (
            &one,
            prices.iter().find(|other| Some(other.number.value) != one.as_ref().map(|one| one.number.value)),
        ) {
            let (a, b) = (one.text.trim(), other.text.trim());
            self.doubt(text!("settle-there-two-prices-using", a, b));
        }
        let (number, currency) = match one {
            Some(price) => (price.number, price.currency.or(self.parsed.currency)),
            None => match self.bare_price() {
                Some(number) => (number, self.parsed.currency),
                None => {
                    self.both_ways();
                    return self.listing.missing.push(text!("settle-no-price-given").to_owned());
                }
            },
        };
        self.listing.currency = currency.map(str::to_owned);
        let value = self.plausible(number);
        self.both_ways();
        let packs = self.parsed.packs.first().copied().unwrap_or(1.0);
        let total = match self.parsed.per {
            Some(Per::Each) => value * packs,
            _ => value,
        };
        if packs > 1.0 && self.parsed.per.is_none() {
            self.doubt(text!("settle-read-as-price-all-together", shown = shown(value, 2), packs));
        }
        self.listing.price = Decimal::from_f64(total).map(|price| price.round_dp(4));
        self.per_unit();
    }

    /// A number with two decimals and nothing behind is what is paid, where the size is said and it can be: no
    /// price is taken from a number that may be another thing.
    fn bare_price(&mut self) -> Option<Separated> {
        let written = |text: &str| text.rsplit(['.', ',']).next().is_some_and(|decimals| decimals.len() == 2);
        let at = self.parsed.bare.iter().position(|(_, text)| text.contains(['.', ',']) && written(text))?;
        let (number, text) = self.parsed.bare[at].clone();
        let fits = self.listing.size_mm.is_some() && self.fits_metal(number.value);
        if self.listing.size_mm.is_none() || !fits {
            return None;
        }
        self.parsed.bare.remove(at);
        self.doubt(text!("settle-read-as-price-no-currency", text));
        Some(number)
    }

    /// Grams sold, as far as known without deriving anything twice.
    fn grams(&self) -> Option<f64> {
        let by_length = || Some(self.listing.wire()?.mass_g(self.listing.length_mm?));
        self.listing.mass_g.or_else(by_length)
    }

    /// Whether a price can be one of this metal: what a gram would then cost.
    fn fits_metal(&self, price: f64) -> bool {
        let Some(metal) = self.listing.metal else { return true };
        let (least, most) = metal.figures().gram_costs;
        let per_gram = match (self.parsed.per, self.listing.wire()) {
            (Some(Per::Mass(grams)), _) => Some(price / grams),
            (Some(Per::Length(mm)), Some(wire)) => Some(price / wire.mass_g(mm)),
            _ => self.grams().map(|grams| price / grams),
        };
        per_gram.is_none_or(|gram| (least..=most).contains(&gram))
    }

    /// Which reading of its comma a price has: the one a gram of the metal can cost.
    fn plausible(&mut self, number: Separated) -> f64 {
        let Some(thousands) = number.thousands else {
            if !self.fits_metal(number.value) {
                let metal = self.listing.metal.map_or(text!("settle-metal"), Metal::shown);
                self.doubt(text!("settle-for-this-much-far-from", shown = shown(number.value, 2), metal));
            }
            return number.value;
        };
        match (self.fits_metal(number.value), self.fits_metal(thousands)) {
            (false, true) => {
                self.doubt(text!("settle-price-read-as-would-be", thousands, value = number.value));
                thousands
            }
            (true, false) => {
                self.doubt(text!("settle-price-read-as-would-be-far", value = number.value, thousands));
                number.value
            }
            _ => {
                self.doubt(text!("settle-price-could-be-or-using", value = number.value, thousands));
                number.value
            }
        }
    }

    /// Length from weight or weight from length; where both are said they must agree.
    fn both_ways(&mut self) {
        let Some(wire) = self.listing.wire() else { return };
        match (self.listing.length_mm, self.listing.mass_g) {
            (Some(length), None) => self.listing.mass_g = Some(wire.mass_g(length)),
            (None, Some(mass)) => self.listing.length_mm = Some(wire.length_of_mm(mass)),
            (Some(length), Some(mass)) => self.agree(&wire, length, mass),
            (None, None) => {}
        }
    }

    fn agree(&mut self, wire: &Wire, length: f64, mass: f64) {
        let weighs = wire.mass_g(length);
        if (mass / weighs - 1.0).abs() > SAME_MASS {
            self.doubt(text!(
                "settle-m-this-wire-weigh-g",
                length = shown(length / 1000.0, 2),
                weighs = shown(weighs, 1),
                mass = shown(mass, 1)
            ));
        }
    }

    fn per_unit(&mut self) {
        let Some(price) = self.listing.price else { return };
        let over = |quantity: f64| {
            let quantity = Decimal::from_f64(quantity).filter(|q| !q.is_zero())?;
            Some((price / quantity).round_dp(4))
        };
        let metre_g = self.listing.wire().map(|wire| wire.mass_g(1000.0));
        let scaled = |price: Option<Decimal>, by: f64| {
            let by = Decimal::from_f64(by)?;
            price?.checked_mul(by).map(|price| price.round_dp(4))
        };
        let (per_metre, per_gram) = match self.parsed.per {
            Some(Per::Length(mm)) => {
                let metre = over(mm / 1000.0);
                (metre, metre_g.and_then(|grams| scaled(metre, 1.0 / grams)))
            }
            Some(Per::Mass(grams)) => {
                let gram = over(grams);
                (metre_g.and_then(|grams| scaled(gram, grams)), gram)
            }
            _ => {
                (self.listing.length_mm.and_then(|mm| over(mm / 1000.0)), self.listing.mass_g.and_then(over))
            }
        };
        (self.listing.per_metre, self.listing.per_gram) = (per_metre, per_gram);
    }

    /// What nothing was made of, and what is usual where nothing is said.
    fn leftovers(&mut self) {
        let sizes = std::mem::take(&mut self.parsed.sizes);
        for size in &sizes {
            self.decimal_comma(size);
        }
        for (_, text) in std::mem::take(&mut self.parsed.bare) {
            self.listing.unclear.push(text);
        }
        self.listing.unclear.append(&mut self.parsed.unclear);
        if self.listing.temper.is_none() {
            self.listing.missing.push(text!("settle-no-temper-given-wire-sold").to_owned());
        }
        if self.listing.section.is_none() {
            self.listing.missing.push(text!("settle-no-section-given-nearly-always").to_owned());
        }
    }
}

fn gauge_mm(gauge: SaidGauge, system: GaugeSystem) -> Option<f64> {
    Gauge::new(system, gauge.number).map(Gauge::mm)
}

fn gauge_text(gauge: SaidGauge) -> String {
    match gauge.system {
        Some(system) => format!("{} {system}", gauge.number),
        None => text!("settle-gauge", number = gauge.number),
    }
}
