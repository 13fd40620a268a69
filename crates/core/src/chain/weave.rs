//! A weave: the rings of a cell, which of them go through which, and how the cell goes on.

use serde::{Deserialize, Serialize};

use crate::fault::{Fault, Faults, Span, check_text};
use lorimant_text::{Text, text};

/// Most rings a cell may have.
pub const MOST_RINGS: usize = 12;
/// Farthest cell a link may reach to.
pub const FARTHEST: i32 = 4;

/// Which rings of a cell go through which, and how the cell goes on. Nothing is said of size: that is the rings'.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Weave {
    /// What it is called, 1 to 80 characters.
    pub name: String,
    /// The rings of a cell, 1 to 12, each by the part it plays: `connector`, `fold`.
    pub rings: Vec<String>,
    /// Which go through which.
    pub links: Vec<Link>,
    /// How the cell goes on; a chain whose turn is found by itself if left out.
    #[serde(alias = "goes_on", default)]
    pub repeats: Repeats,
    /// Rings that hold a partner over more than half their turn, so that the chain does not unfold.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub folds: Vec<Fold>,
    /// From which side a ring goes through its own copies of the cells ahead; from whichever if left out.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub side: Option<LinkSide>,
}

/// From which side a ring goes through its own copies of the next cell, the one after that and so on. Links alone do not
/// tell: of one ring through the next two there are two chains, and the one that always goes the same way wants larger rings.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case")]
pub enum LinkSide {
    /// From the same side through all.
    Same,
    /// From one side through the next, from the other through the one after, in turn.
    Alternating,
}

impl LinkSide {
    /// Whether a ring goes through its copy so many cells on as it goes through the next.
    #[must_use]
    pub fn as_the_next(self, cells_along: i32) -> bool {
        self == Self::Same || cells_along.rem_euclid(2) == 1
    }
}

/// A ring goes through another. It is the same whichever is named first.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Link {
    /// A ring of this cell, from 0.
    pub ring: usize,
    /// The ring it goes through, from 0.
    pub through: usize,
    /// How many cells on that one is; in this cell if left out.
    #[serde(alias = "cells_on", default, skip_serializing_if = "is_here")]
    pub cells_along: i32,
    /// How many cells aside it is, in a sheet.
    #[serde(alias = "cells_aside", default, skip_serializing_if = "is_here")]
    pub cells_across: i32,
}

#[expect(clippy::trivially_copy_pass_by_ref, reason = "serde hands over references")]
fn is_here(cells: &i32) -> bool {
    *cells == 0
}

/// How a cell goes on.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(rename_all = "kebab-case", deny_unknown_fields)]
pub enum Repeats {
    /// As a chain, each cell turned about the chain's length by so many degrees against the one before; by as much as
    /// lets it be longest if left out.
    Chain {
        /// Degrees, −180 to 180.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        turn_deg: Option<f64>,
    },
    /// As a sheet, along its length and across.
    Sheet,
}

impl Default for Repeats {
    fn default() -> Self {
        Self::Chain { turn_deg: None }
    }
}

/// A ring of a cell, or of one so many cells on.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct RingAt {
    /// The ring, from 0.
    pub ring: usize,
    /// How many cells on it is.
    #[serde(alias = "cells_on", default, skip_serializing_if = "is_here")]
    pub cells_along: i32,
}

/// A ring that is folded back over two others: between where it goes through them, on the side where nothing else goes
/// through it, lies more than half its turn. Linking alone does not tell a folded chain from one that has unfolded.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
#[serde(deny_unknown_fields)]
pub struct Fold {
    /// The ring, from 0.
    pub ring: usize,
    /// The two it is folded over.
    pub over: [RingAt; 2],
    /// Those that hold it on the other side.
    pub held_by: Vec<RingAt>,
}

impl Weave {
    /// How many rings a cell has.
    #[must_use]
    pub fn rings_n(&self) -> usize {
        self.rings.len()
    }

    /// Whether it goes on two ways.
    #[must_use]
    pub fn is_sheet(&self) -> bool {
        self.repeats == Repeats::Sheet
    }

    /// How far each cell is turned against the one before, radians; nothing where that is free, or of a sheet.
    #[must_use]
    pub fn turn(&self) -> f64 {
        match self.repeats {
            Repeats::Chain { turn_deg } => turn_deg.unwrap_or(0.0).to_radians(),
            Repeats::Sheet => 0.0,
        }
    }

    /// The parts its rings play, each once, in their order.
    #[must_use]
    pub fn parts(&self) -> Vec<&str> {
        let mut parts: Vec<&str> = vec![];
        for part in &self.rings {
            if !parts.contains(&part.as_str()) {
                parts.push(part);
            }
        }
        parts
    }

    /// Which of [`Weave::parts`] a ring plays.
    #[must_use]
    pub fn part_of(&self, ring: usize) -> usize {
        self.parts().iter().position(|part| self.rings.get(ring).is_some_and(|of| of == part)).unwrap_or(0)
    }

    /// Whether a ring of this cell and one so many cells on and aside are linked.
    ///
    /// ```
    /// use lorimant_core::chain::weaves::by_word;
    ///
    /// let single = &by_word("one-in-one").unwrap().weave;
    /// assert!(single.links_to(0, 0, 1, 0) && single.links_to(0, 0, -1, 0));
    /// assert!(!single.links_to(0, 0, 2, 0));
    /// ```
    #[must_use]
    pub fn links_to(&self, ring: usize, other: usize, cells_along: i32, cells_across: i32) -> bool {
        let forth = Link { ring, through: other, cells_along, cells_across };
        self.links.iter().any(|link| *link == forth || *link == forth.back())
    }

    /// The rings a ring is linked with: which, how many cells on, how many aside.
    pub fn linked_with(&self, ring: usize) -> impl Iterator<Item = (usize, i32, i32)> {
        let both = self.links.iter().flat_map(|link| [*link, link.back()]);
        both.filter(move |link| link.ring == ring)
            .map(|link| (link.through, link.cells_along, link.cells_across))
    }

    /// Checks that it can be a weave at all: every ring there is, none through itself, one piece. Whether rings of any
    /// size lie so, relaxing it says.
    ///
    /// ```
    /// use lorimant_core::chain::weave::{Repeats, Link, Weave};
    ///
    /// // Every other ring is linked: these are two chains.
    /// let two = Weave {
    ///     name: "two strands".into(),
    ///     rings: vec!["ring".into()],
    ///     links: vec![Link { ring: 0, through: 0, cells_along: 2, cells_across: 0 }],
    ///     repeats: Repeats::default(),
    ///     folds: vec![],
    ///     side: None,
    /// };
    /// assert!(two.check().unwrap_err().0[0].message.contains("falls apart into 2 chains"));
    /// ```
    ///
    /// # Errors
    /// A fault at each ring, link or fold that cannot be; one at `links` where it falls apart.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        if self.name.trim().is_empty() {
            faults.add(Fault::new("name", text!("weave-enter-name-for-weave")));
        }
        faults.keep(check_text("name", text!("noun-name"), &self.name, 80));
        let n = self.rings_n();
        if n == 0 || n > MOST_RINGS {
            let message = text!("weave-repeat-rings-cannot-be-calculated", n, MOST_RINGS);
            faults.add(Fault::new("rings", message).limit(MOST_RINGS as f64));
            return faults.into_result();
        }
        for (i, part) in self.rings.iter().enumerate() {
            faults.keep(check_text(&format!("rings[{i}]"), text!("noun-part"), part, 40));
        }
        if let Repeats::Chain { turn_deg: Some(turn) } = self.repeats {
            let span = Span { noun: Text::named("weave-turn-cell"), unit: "°", least: -180.0, most: 180.0 };
            faults.keep(span.check("goes_on.chain.turn_deg", turn));
        }
        self.check_links(&mut faults);
        self.check_folds(&mut faults);
        if faults.is_empty()
            && let Some(fault) = self.in_one_piece()
        {
            faults.add(fault);
        }
        faults.into_result()
    }

    fn check_links(&self, faults: &mut Faults) {
        let n = self.rings_n();
        for (i, link) in self.links.iter().enumerate() {
            let at = format!("links[{i}]");
            if link.ring >= n || link.through >= n {
                let ring = link.ring.max(link.through);
                let message = text!("weave-there-no-ring-in-repeat", ring, n);
                faults.add(Fault::new(&at, message));
            } else if link.cells_along.abs() > FARTHEST || link.cells_across.abs() > FARTHEST {
                let message = text!("weave-link-over-more-than-repeats", FARTHEST);
                faults.add(Fault::new(&at, message).limit(f64::from(FARTHEST)));
            } else if link.cells_across != 0 && !self.is_sheet() {
                faults.add(Fault::new(&at, text!("weave-chain-has-no-repeats-beside")));
            } else if *link == link.back() {
                let message = text!("weave-ring-cannot-go-through-itself", ring = name(link.ring));
                faults.add(Fault::new(&at, message));
            } else if self.links[..i].iter().any(|one| one == link || *one == link.back()) {
                let message = text!(
                    "weave-through-entered-twice-remove-one",
                    ring = name(link.ring),
                    through = name_at(link.through, link.cells_along, link.cells_across)
                );
                faults.add(Fault::new(&at, message));
            }
        }
        if self.links.is_empty() {
            let message = text!("weave-no-ring-goes-through-another");
            faults.add(Fault::new("links", message));
        }
    }

    fn check_folds(&self, faults: &mut Faults) {
        for (i, fold) in self.folds.iter().enumerate() {
            let mut all = fold.over.iter().chain(&fold.held_by);
            let linked = all.all(|at| self.links_to(fold.ring, at.ring, at.cells_along, 0));
            if !linked || fold.held_by.is_empty() || fold.over[0] == fold.over[1] {
                let message = text!("weave-ring-can-only-be-folded", ring = name(fold.ring));
                faults.add(Fault::new(format!("folds[{i}]"), message));
            }
        }
    }

    /// A fault where not every ring hangs together with every other.
    fn in_one_piece(&self) -> Option<Fault> {
        // Where each ring of the cell is reached from the first: so many cells on and aside.
        let mut reached: Vec<Option<[i32; 2]>> = vec![None; self.rings_n()];
        let mut loops: Vec<[i32; 2]> = vec![];
        let mut next = vec![(0, [0, 0])];
        while let Some((ring, at)) = next.pop() {
            if let Some(before) = reached[ring] {
                loops.push([at[0] - before[0], at[1] - before[1]]);
                continue;
            }
            reached[ring] = Some(at);
            next.extend(self.linked_with(ring).map(|(to, on, aside)| (to, [at[0] + on, at[1] + aside])));
        }
        if let Some(loose) = reached.iter().position(Option::is_none) {
            let message = text!("weave-ring-not-linked-anything-that", loose = name(loose));
            return Some(Fault::new("links", message));
        }
        // What closed walks shift by must reach every cell.
        let parts = if self.is_sheet() {
            let mut parts = 0;
            for one in &loops {
                for other in &loops {
                    parts = gcd(parts, one[0] * other[1] - one[1] * other[0]);
                }
            }
            parts
        } else {
            loops.iter().fold(0, |so_far, shift| gcd(so_far, shift[0]))
        };
        match parts {
            1 => None,
            0 => Some(Fault::new("links", text!("weave-repeats-not-linked-no-ring"))),
            n => Some(Fault::new("links", text!("weave-falls-apart-into-chains-side", n))),
        }
    }
}

impl Link {
    /// The same from the other ring.
    #[must_use]
    pub fn back(self) -> Self {
        Self {
            ring: self.through,
            through: self.ring,
            cells_along: -self.cells_along,
            cells_across: -self.cells_across,
        }
    }
}

fn gcd(a: i32, b: i32) -> i32 {
    let (mut a, mut b) = (a.abs(), b.abs());
    while b != 0 {
        (a, b) = (b, a % b);
    }
    a
}

/// A ring of a cell as it is named: A, B, C.
#[must_use]
pub fn name(ring: usize) -> String {
    char::from_digit(10 + u32::try_from(ring).unwrap_or(25).min(25), 36)
        .map_or_else(String::new, |letter| letter.to_ascii_uppercase().to_string())
}

/// The same, so many cells on: `B of the next cell`.
#[must_use]
pub fn name_at(ring: usize, cells_on: i32, cells_aside: i32) -> String {
    let along = match cells_on {
        0 => String::new(),
        1 => text!("weave-next-repeat").to_owned(),
        -1 => text!("weave-repeat-before").to_owned(),
        n if n > 0 => text!("weave-repeats-on", n),
        n => text!("weave-repeats-back", n = -n),
    };
    let aside = match cells_aside {
        0 => String::new(),
        1 => text!("weave-one-right").to_owned(),
        -1 => text!("weave-one-left").to_owned(),
        n if n > 0 => text!("weave-right", n),
        n => text!("weave-left", n = -n),
    };
    format!("{}{along}{aside}", name(ring))
}
