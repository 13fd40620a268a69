//! Workings that are worked out: an expression knows its text and its value, so that what is printed cannot come to anything
//! else.

use std::f64::consts::PI;
use std::ops::{Add, Div, Mul, Sub};

use crate::words::length::shown;
use lorimant_text::text;

/// How tightly an expression holds together: what is looser is put in brackets.
#[derive(Debug, Clone, Copy, PartialEq, PartialOrd)]
enum Binds {
    Sum,
    Product,
    Alone,
}

/// Numbers put together, as text and as what they come to.
#[derive(Debug, Clone, PartialEq)]
pub(crate) struct Expression {
    text: String,
    value: f64,
    binds: Binds,
}

/// A number, printed to so many places.
pub(crate) fn num(value: f64, places: usize) -> Expression {
    let text = if value < 0.0 { format!("−{:.places$}", -value) } else { format!("{value:.places$}") };
    Expression { text, value, binds: if value < 0.0 { Binds::Sum } else { Binds::Alone } }
}

/// A number as it is usually written, to three places at most.
pub(crate) fn plain(value: f64) -> Expression {
    Expression { text: shown(value, 3), ..num(value, 3) }
}

/// A count.
pub(crate) fn count(n: u32) -> Expression {
    num(f64::from(n), 0)
}

/// π.
pub(crate) fn pi() -> Expression {
    Expression { text: "π".to_owned(), value: PI, binds: Binds::Alone }
}

/// The sum of some terms; of none it is 0.
pub(crate) fn sum(terms: impl IntoIterator<Item = Expression>) -> Expression {
    terms.into_iter().reduce(|all, term| all + term).unwrap_or_else(|| num(0.0, 0))
}

impl Expression {
    /// The number with its unit.
    pub fn unit(self, unit: &str) -> Self {
        Self { text: format!("{} {unit}", self.text), ..self }
    }

    /// The number with what it is: `front 11.00`.
    pub fn named(self, name: &str) -> Self {
        Self { text: format!("{name} {}", self.text), ..self }
    }

    /// Raised to a power.
    pub fn power(self, exponent: f64) -> Self {
        // A power of a power needs brackets to be read as one.
        let alone = self.binds == Binds::Alone && !self.text.contains('^');
        let base = if alone { self.text } else { format!("({})", self.text) };
        let text = format!("{base}^{}", shown(exponent, 2));
        Self { text, value: self.value.powf(exponent), binds: Binds::Alone }
    }

    /// Its square root, as a power.
    pub fn root(self) -> Self {
        self.power(0.5)
    }

    /// What it comes to, to so many places, in a unit.
    pub fn comes_to(&self, places: usize, unit: &str) -> Numbers {
        let result = num(self.value, places).text;
        Numbers(format!("{} = {result} {unit}", self.text).trim_end().to_owned())
    }

    fn within(&self, least: Binds) -> String {
        if self.binds < least { format!("({})", self.text) } else { self.text.clone() }
    }
}

impl Add for Expression {
    type Output = Self;

    fn add(self, other: Self) -> Self {
        let text = match other.text.strip_prefix('−') {
            Some(taken) => format!("{} − {taken}", self.text),
            None => format!("{} + {}", self.text, other.text),
        };
        Self { text, value: self.value + other.value, binds: Binds::Sum }
    }
}

impl Sub for Expression {
    type Output = Self;

    fn sub(self, other: Self) -> Self {
        let text = format!("{} − {}", self.text, other.within(Binds::Product));
        Self { text, value: self.value - other.value, binds: Binds::Sum }
    }
}

impl Mul for Expression {
    type Output = Self;

    fn mul(self, other: Self) -> Self {
        let text = format!("{} × {}", self.within(Binds::Product), other.within(Binds::Alone));
        Self { text, value: self.value * other.value, binds: Binds::Product }
    }
}

impl Div for Expression {
    type Output = Self;

    fn div(self, other: Self) -> Self {
        let text = format!("{} / {}", self.within(Binds::Product), other.within(Binds::Alone));
        Self { text, value: self.value / other.value, binds: Binds::Product }
    }
}

/// The numbers of a working: expressions with what they come to, or words where nothing is worked out.
#[derive(Debug, Clone, PartialEq)]
pub(crate) struct Numbers(String);

impl Numbers {
    /// Words: a size that is measured off the drawing, or an answer that no formula gives.
    pub fn told(text: impl Into<String>) -> Self {
        Self(text.into())
    }

    /// With what is taken of it: `42.34, so 43`.
    pub fn so(self, taken: &str) -> Self {
        Self(text!("working-so", self = self.0, taken))
    }

    /// With a second working after it.
    pub fn then(self, next: &Self) -> Self {
        Self(format!("{}; {}", self.0, next.0))
    }

    /// The text.
    pub fn into_text(self) -> String {
        self.0
    }
}
