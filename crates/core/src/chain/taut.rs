//! A weave pulled taut from rings of a size: whether they go into each other, how long a cell is, how it suits.

use std::cell::{Cell, RefCell};
use std::collections::VecDeque;
use std::rc::Rc;
use std::sync::{Arc, Mutex, PoisonError};

use serde::{Deserialize, Serialize};

use super::ladder::{COARSE, Ladder};
use super::pose::Pose;
use super::relax::Relaxing;
use super::search::{Effort, RelaxProgress, Watch};
use super::weave::Weave;
use super::weaves;
use crate::fault::{Fault, Faults};
use crate::words::{quoted, words};
use lorimant_text::{Text, text};

/// The size of a ring.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct RingSize {
    /// Inside diameter, mm.
    pub inside_mm: f64,
    /// Thickness of its wire, mm.
    pub wire_mm: f64,
}

impl RingSize {
    /// Inside over wire.
    #[must_use]
    pub fn ratio(self) -> f64 {
        self.inside_mm / self.wire_mm
    }

    /// From its middle to the middle of its wire, mm.
    #[must_use]
    pub fn core_radius_mm(self) -> f64 {
        f64::midpoint(self.inside_mm, self.wire_mm)
    }
}

words! {
    /// How a ratio suits a weave.
    pub enum Suits ("suits") {
        /// The rings do not go into each other.
        Cannot = "cannot";
        /// They just go: the chain hardly bends, and closing the last rings is hard.
        Stiff = "stiff";
        /// What makers usually take.
        Usual = "usual";
        /// It hangs open.
        Loose = "loose";
        /// The weave is hardly seen.
        Floppy = "floppy";
    }
}

/// A weave as rings of a size lie in it, pulled taut.
#[derive(Debug, Clone, PartialEq)]
pub struct Taut {
    /// Ratio of inside to wire of its first part's rings.
    pub ratio: f64,
    /// The smallest at which rings go into each other, other parts in proportion.
    pub smallest_ratio: f64,
    /// What makers usually take, about: the ratio of inside to wire.
    pub usual: [f64; 2],
    /// How this one suits.
    pub suits: Suits,
    /// From a cell to the next, mm; nothing where the rings do not go into each other.
    pub repeat_mm: f64,
    /// From a cell to the next across, of a sheet, mm.
    pub across_mm: f64,
    /// What a millimetre more of inside adds to the repeat, mm per mm, all rings growing alike.
    pub grows: f64,
    /// How its rings lie, mm; none where they do not go into each other.
    pub pose: Option<Pose>,
}

/// Beyond the usual range by this share a chain is floppy.
const FLOPPY: f64 = 1.35;
/// What is usual of a weave of which nobody has said: from so many times its smallest ratio to so many times.
const USUAL: [f64; 2] = [1.05, 1.35];

impl Suits {
    /// How a ratio suits, where so small is the smallest and such the usual range.
    #[must_use]
    pub fn of(ratio: f64, smallest: f64, usual: [f64; 2]) -> Self {
        match ratio {
            ratio if ratio < smallest - 1e-9 => Self::Cannot,
            ratio if ratio < usual[0] => Self::Stiff,
            ratio if ratio <= usual[1] => Self::Usual,
            ratio if ratio <= FLOPPY * usual[1] => Self::Loose,
            _ => Self::Floppy,
        }
    }
}

impl Taut {
    /// Of rings of each part's size: the first part's, and a second's where there is one.
    ///
    /// ```
    /// use lorimant_core::chain::taut::{RingSize, Taut};
    /// use lorimant_core::chain::weaves::by_word;
    ///
    /// let single = &by_word("one-in-one").unwrap().weave;
    /// let taut = Taut::of(single, &[RingSize { inside_mm: 5.0, wire_mm: 1.0 }]).unwrap();
    /// // Each ring adds its inside.
    /// assert!((taut.repeat_mm - 5.0).abs() < 1e-3);
    /// ```
    ///
    /// # Errors
    /// The weave's own faults, where it is a maker's own.
    pub fn of(weave: &Weave, sizes: &[RingSize]) -> Result<Self, Faults> {
        let first = sizes.first().copied().unwrap_or(RingSize { inside_mm: 1.0, wire_mm: 1.0 });
        let known = weaves::all().iter().find(|known| known.weave == *weave);
        let ladder = match shipped(weave, sizes) {
            Some(ladder) => Arc::new(ladder),
            None => worked_out(weave, sizes, &|_| true)?,
        };
        let (ratio, smallest_ratio) = (first.ratio(), ladder.smallest_ratio());
        let usual = known.map_or(USUAL.map(|times| times * smallest_ratio), |known| known.usual);
        let of_bore = |share: Option<f64>| share.unwrap_or(0.0) * first.inside_mm;
        let little = 0.01;
        let larger = ladder.repeat_at(ratio * (1.0 + little)).unwrap_or(0.0) * (1.0 + little);
        let repeat = ladder.repeat_at(ratio).unwrap_or(0.0);
        Ok(Self {
            grows: (larger - repeat) / little,
            ratio,
            smallest_ratio,
            usual,
            suits: Suits::of(ratio, smallest_ratio, usual),
            repeat_mm: of_bore(ladder.repeat_at(ratio)),
            across_mm: of_bore(ladder.across_at(ratio)),
            pose: ladder.pose_at(ratio).map(|pose| pose.scaled(first.core_radius_mm())),
        })
    }

    /// Whether it is at hand: it ships, or was worked out lately. What is not takes a second or two.
    #[must_use]
    pub fn is_at_hand(weave: &Weave, sizes: &[RingSize]) -> bool {
        let key = key(weave, &relative(sizes));
        shipped(weave, sizes).is_some() || found(&key).is_some()
    }

    /// Above this it is floppy.
    #[must_use]
    pub fn floppy_ratio(&self) -> f64 {
        FLOPPY * self.usual[1]
    }

    /// The ratio at which it is at its best: the middle of what is usual.
    #[must_use]
    pub fn best_ratio(&self) -> f64 {
        f64::midpoint(self.usual[0], self.usual[1])
    }

    /// Whether its rings go into each other.
    #[must_use]
    pub fn fits(&self) -> bool {
        self.suits != Suits::Cannot
    }
}

/// A weave with its rings against each other, written out: what a ladder depends on. Names do not count.
type Key = String;
/// What came of working a ladder out.
type Found = Result<Arc<Ladder>, Faults>;

/// A weave, and core radius and wire of each part against the first's.
type Wanted = (Weave, Vec<(f64, f64)>);

/// What is known of weaves that do not ship, over the whole program: working one out takes seconds, and a plan asks for it
/// often.
#[derive(Default)]
struct Known {
    /// The oldest first.
    found: VecDeque<(Key, Found)>,
    /// What was worked out since it was last asked: whoever keeps it longer than this program runs takes it from here.
    fresh: Vec<KnownLadder>,
    /// What was asked for where nobody could wait for it.
    wanted: Vec<Wanted>,
}

static KNOWN: Mutex<Option<Known>> = Mutex::new(None);
/// How many are remembered.
const REMEMBERED: usize = 1000;
/// How many are noted as wanted.
const MOST_WANTED: usize = 64;

fn with_known<T>(work: impl FnOnce(&mut Known) -> T) -> T {
    let mut known = KNOWN.lock().unwrap_or_else(PoisonError::into_inner);
    work(known.get_or_insert_default())
}

/// A ladder that was worked out, to be kept.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize)]
pub struct KnownLadder {
    /// What it is of.
    pub key: String,
    /// The ladder.
    pub ladder: Ladder,
}

/// What was worked out since this was last asked: whoever keeps it takes it from here.
#[must_use]
pub fn take_fresh() -> Vec<KnownLadder> {
    with_known(|known| std::mem::take(&mut known.fresh))
}

/// What was asked for where nobody could wait, each once: whoever has the time works it out.
#[must_use]
pub fn take_wanted() -> Vec<(Weave, Vec<(f64, f64)>)> {
    with_known(|known| std::mem::take(&mut known.wanted))
}

/// Remembers a ladder that was kept.
pub fn remember(known: KnownLadder) {
    put(known.key, Ok(Arc::new(known.ladder)));
}

fn put(key: Key, found: Found) {
    with_known(|known| {
        known.found.retain(|(other, _)| *other != key);
        if known.found.len() >= REMEMBERED {
            known.found.pop_front();
        }
        known.found.push_back((key, found));
    });
}

fn found(key: &Key) -> Option<Found> {
    with_known(|known| known.found.iter().find(|(other, _)| other == key).map(|(_, found)| found.clone()))
}

/// Whether whoever works on a thread can wait on.
type Waits = Rc<dyn Fn() -> bool>;

thread_local! {
    /// For whoever works on this thread; where none is said, a weave is worked out however long it takes.
    static WAITS: RefCell<Option<Waits>> = const { RefCell::new(None) };
}

/// Does some work that waits for weaves that are not at hand only while this says so: one that takes longer is a fault, and
/// is [wanted](take_wanted). Nothing of what is worked out depends on it.
pub fn while_waiting<T>(waits: impl Fn() -> bool + 'static, work: impl FnOnce() -> T) -> T {
    /// What held before holds again, also where the work panics.
    struct Restored(Option<Waits>);

    impl Drop for Restored {
        fn drop(&mut self) {
            WAITS.set(self.0.take());
        }
    }

    let _before = Restored(WAITS.replace(Some(Rc::new(waits))));
    work()
}

/// Rings that differ by no more than this share, as those of two metals wound on one rod do, lie as if they were alike.
const ALIKE: f64 = 0.01;

/// Core radius and wire of each part against the first's, to a thousandth: finer than rings are made.
fn relative(sizes: &[RingSize]) -> Vec<(f64, f64)> {
    let first = sizes.first().copied().unwrap_or(RingSize { inside_mm: 1.0, wire_mm: 1.0 });
    let thousandth = |share: f64| (share * 1000.0).round() / 1000.0;
    let part = |size: &RingSize| {
        let radius = thousandth(size.core_radius_mm() / first.core_radius_mm());
        (radius, thousandth(size.wire_mm / first.wire_mm))
    };
    sizes.iter().map(part).collect()
}

fn key(weave: &Weave, parts: &[(f64, f64)]) -> Key {
    let nameless = Weave { name: String::new(), ..weave.clone() };
    serde_json::to_string(&(nameless, parts)).unwrap_or_default()
}

/// The ladder that ships, where it is a weave of the trade and its rings are alike.
fn shipped(weave: &Weave, sizes: &[RingSize]) -> Option<Ladder> {
    let known = weaves::all().iter().find(|known| known.weave == *weave)?;
    let near = |share: f64| (share - 1.0).abs() <= ALIKE;
    let alike = relative(sizes).iter().all(|(radius, wire)| near(*radius) && near(*wire));
    alike.then(|| Ladder::of_known(known.word)).flatten()
}

/// The rung of the ladder that ships from which rings of two sizes start: a maker waits.
const FROM: usize = 10;

/// The ladder of a weave that does not ship, worked out from the usual starts, or remembered.
///
/// # Errors
/// As [`Relaxing::tightest`].
pub fn worked_out(
    weave: &Weave,
    sizes: &[RingSize],
    go_on: &dyn Fn(RelaxProgress) -> bool,
) -> Result<Arc<Ladder>, Faults> {
    let parts = relative(sizes);
    let key = key(weave, &parts);
    if let Some(found) = found(&key) {
        return found;
    }
    weave.check()?;
    let waits = WAITS.with_borrow(Clone::clone);
    let in_time = || waits.as_ref().is_none_or(|waits| waits());
    let mut given_up = !in_time();
    if !given_up {
        let stopped = Cell::new(false);
        let watched = |far: RelaxProgress| {
            let goes_on = in_time() && go_on(far);
            stopped.set(stopped.get() || !goes_on);
            goes_on
        };
        let ladder = laddered(weave, &parts, &watched).map(Arc::new);
        given_up = stopped.get();
        if !given_up {
            put(key.clone(), ladder.clone());
            if let Ok(ladder) = &ladder {
                let fresh = KnownLadder { key, ladder: Ladder::clone(ladder) };
                with_known(|known| known.fresh.push(fresh));
            }
            return ladder;
        }
    }
    if waits.is_none() {
        // Whoever worked it out had enough of it.
        return Err(Fault::new("weave", NOT_FOUND).into());
    }
    let wanted = (weave.clone(), parts);
    with_known(|known| {
        if known.wanted.len() < MOST_WANTED && !known.wanted.contains(&wanted) {
            known.wanted.push(wanted);
        }
    });
    let message = text!("taut-how-rings-lie-in-still", name = quoted(&weave.name));
    Err(Fault::new("weave", message).into())
}

/// What is said of a weave that was looked at for as long as is looked at any.
const NOT_FOUND: Text = Text::named("taut-no-arrangement-rings-was-found");

/// Works out what was [wanted](take_wanted). What is not found before this says no is not looked for again while the program
/// runs.
///
/// # Errors
/// As [`Relaxing::tightest`].
pub fn work_out(
    weave: &Weave,
    parts: &[(f64, f64)],
    go_on: &dyn Fn(RelaxProgress) -> bool,
) -> Result<Arc<Ladder>, Faults> {
    // Rings as thick and wide as the parts say, the first 1 mm.
    let size = |(radius, wire): &(f64, f64)| {
        let wire_mm = *wire;
        RingSize { inside_mm: 2.0 * radius * OF_WANTED - wire_mm, wire_mm }
    };
    let worked = worked_out(weave, &parts.iter().map(size).collect::<Vec<_>>(), go_on);
    let key = key(weave, parts);
    if worked.is_err() && found(&key).is_none() {
        put(key, worked.clone());
    }
    worked
}

/// The core radius of the first ring that what is wanted is worked out with, mm, its wire 1 mm thick: only how the parts
/// are against each other counts.
const OF_WANTED: f64 = 10.0;

fn laddered(
    weave: &Weave,
    parts: &[(f64, f64)],
    go_on: &dyn Fn(RelaxProgress) -> bool,
) -> Result<Ladder, Faults> {
    let effort = Effort::usual(weave.rings_n());
    let watch = Watch::of(go_on, effort);
    let wanted = || watch.goes_on();
    let relaxing = Relaxing::of_parts(weave, parts).while_wanted(&wanted);
    // Rings of two sizes lie much as rings alike do, so they start from there.
    let known = weaves::all().iter().find(|known| known.weave == *weave);
    let alike = known.and_then(|known| Ladder::of_known(known.word));
    let from_alike = alike.and_then(|ladder| {
        let right = relaxing.untangled_from(&ladder.rungs().get(FROM)?.pose, 0.02)?;
        let tight = relaxing.tightest_from(&right)?;
        Ladder::from_tight(&relaxing, vec![tight], &COARSE, 0)
    });
    match from_alike {
        Some(ladder) => Ok(ladder),
        None => Ladder::worked_out(&relaxing, &[effort], &COARSE, 0, &|_| true, &|far| watch.at(far)),
    }
}
