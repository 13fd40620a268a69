//! Where makers differ: the workshop's methods, each changeable for one plan.

use serde::{Deserialize, Serialize};

use crate::fault::{Faults, Span};
use crate::wire::Wire;
use crate::wire::metal::Joining;
use crate::words::words;
use lorimant_text::Text;

words! {
    /// How wire is straightened.
    pub enum Straightening ("straightening") {
        /// Run through the fingers or a cloth: it stays as soft as it was.
        Fingers = "fingers";
        /// Pulled through smooth jaws, each pull stiffening it a little.
        Pulls = "pulls";
        /// The same, once the piece is cut.
        AfterCutting = "after-cutting";
    }
}

words! {
    /// Which side of a cut is flush.
    pub enum FlatTo ("flat-to") {
        /// The piece's second face is flush, the spool's end pinched and flushed again before the next.
        Piece = "piece";
        /// The spool stays flush and safe to reach for, the piece's far end is trimmed.
        Spool = "spool";
    }
}

words! {
    /// Where a coil is sawn from.
    pub enum SawFrom ("saw-from") {
        /// From outside, on a pin or a slotted block.
        Pin = "pin";
        /// From inside, the blade threaded through the coil.
        Inside = "inside";
        /// Left on a wooden dowel.
        Dowel = "dowel";
    }
}

words! {
    /// What holds the tail of a coil that is wound by hand.
    pub enum AnchorBy ("anchor-by") {
        /// Bent over, under a thumb or clamp.
        Thumb = "thumb";
        /// Through a hole in the rod.
        Hole = "hole";
        /// In a slot at the rod's end.
        Slot = "slot";
        /// Between the jaws of a vise, beside the rod.
        Vise = "vise";
    }
}

words! {
    /// How a joint is left.
    pub enum Joint ("joint") {
        /// Shut, not joined.
        Open = "open";
        /// Fused.
        Fuse = "fuse";
        /// Soldered.
        Solder = "solder";
    }
}

words! {
    /// How a finished piece is hardened.
    pub enum Hardening ("hardening") {
        /// With a mallet on the block.
        Mallet = "mallet";
        /// In the barrel.
        Tumble = "tumble";
        /// Left as forming made it.
        None = "none";
    }
}

words! {
    /// How tips are rounded.
    pub enum Rounding ("rounding") {
        /// Filed in one direction, then emery.
        File = "file";
        /// With a cup burr.
        CupBurr = "cup-burr";
        /// In the barrel; nothing is filed off.
        Barrel = "barrel";
    }
}

words! {
    /// When a piece is cut off the spool.
    pub enum CutWhen ("cut-when") {
        /// Measured and cut before anything is formed.
        First = "first";
        /// What its near end needs is rolled while there is a spool to hold.
        OnSpool = "on-spool";
        /// Cut longer than needed, trimmed when it is formed, the second to the first.
        Long = "long";
    }
}

words! {
    /// What is held while wire is wrapped.
    pub enum WrapTail ("wrap-tail") {
        /// A tail that comes off afterwards.
        Held = "held";
        /// The end itself, in the tips of pliers.
        Gripped = "gripped";
    }
}

words! {
    /// What comes first, a loop or the neck that centres it.
    pub enum NeckWhen ("neck-when") {
        /// As the finding is usually made.
        Usual = "usual";
        /// The neck is bent first, and the loop closes on it.
        First = "neck-first";
        /// The loop is rolled first, and set back.
        After = "loop-first";
    }
}

words! {
    /// When a blank is marked.
    pub enum Marking ("marking") {
        /// By itself, once all are cut.
        ByItself = "by-itself";
        /// In the same move as the cut.
        WithCut = "with-cut";
    }
}

/// The workshop's methods.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema), schema(as = MakingMethods))]
#[serde(deny_unknown_fields, default)]
pub struct Methods {
    /// How wire is straightened; by fingers if left out.
    pub straightening: Straightening,
    /// How often it is pulled where it is pulled, 1 to 60; 10 if left out.
    pub pulls_n: u32,
    /// Which side of a cut is flush; the piece's if left out.
    pub flat_to: FlatTo,
    /// When a finding is cut off the spool; first if left out.
    pub cut: CutWhen,
    /// How much longer it is cut where it is trimmed to match, mm, 1 to 50; 5 if left out.
    pub long_mm: f64,
    /// When a blank is marked; with its cut if left out, as it was before it was asked.
    #[serde(default = "with_cut")]
    pub marking: Marking,
    /// What is held while wire is wrapped; a tail if left out.
    pub wrap_tail: WrapTail,
    /// What holds the tail of a coil wound by hand; a thumb or clamp if left out.
    pub anchor: AnchorBy,
    /// Where a coil is sawn from; on a pin if left out.
    pub saw_from: SawFrom,
    /// Whether it is sawn at a slight slant.
    pub slanted: bool,
    /// Whether a coil is spread before it is snipped.
    pub spread: bool,
    /// How the joint of a ring is left; shut if left out.
    pub joint: Joint,
    /// How a finished piece is hardened; with a mallet if left out.
    pub hardening: Hardening,
    /// How long it is tumbled where it is tumbled, hours, 0.25 to 24; 2 if left out.
    pub tumble_h: f64,
    /// How tips are rounded; with a file if left out.
    pub rounding: Rounding,
    /// Whether a piece is hammered before its tips are rounded, not after.
    pub hammer_first: bool,
    /// What comes first, a loop or the neck below it; as usual for the finding if left out.
    pub neck: NeckWhen,
    /// Whether the rings of a chain that go in shut are shut while it is built, not all beforehand.
    #[serde(alias = "shut_as_built")]
    pub close_while_building: bool,
}

impl Default for Methods {
    fn default() -> Self {
        Self {
            straightening: Straightening::Fingers,
            pulls_n: 10,
            flat_to: FlatTo::Piece,
            cut: CutWhen::First,
            long_mm: 5.0,
            marking: Marking::ByItself,
            wrap_tail: WrapTail::Held,
            anchor: AnchorBy::Thumb,
            saw_from: SawFrom::Pin,
            slanted: false,
            spread: false,
            joint: Joint::Open,
            hardening: Hardening::Mallet,
            tumble_h: 2.0,
            rounding: Rounding::File,
            hammer_first: false,
            neck: NeckWhen::Usual,
            close_while_building: false,
        }
    }
}

/// Steps of batches are counted: those begun before marking was a step keep theirs.
fn with_cut() -> Marking {
    Marking::WithCut
}

/// Strain of one pull through the jaws. Trade experience, an estimate.
pub const PULL_STRAIN: f64 = 0.02;

impl Methods {
    const PULLS: Span = Span { noun: Text::named("method-number-pulls"), unit: "", least: 1.0, most: 60.0 };
    const LONG: Span = Span { noun: Text::named("method-length-trim"), unit: " mm", least: 1.0, most: 50.0 };
    const HOURS: Span =
        Span { noun: Text::named("method-time-in-tumbler"), unit: " h", least: 0.25, most: 24.0 };

    /// Strain that straightening spends before anything else is done.
    ///
    /// ```
    /// use lorimant_core::tool::method::{Methods, Straightening};
    ///
    /// assert_eq!(Methods::default().straightening_strain(), 0.0);
    /// let pulled = Methods { straightening: Straightening::Pulls, pulls_n: 12, ..Methods::default() };
    /// assert!((pulled.straightening_strain() - 0.24).abs() < 1e-12);
    /// ```
    #[must_use]
    pub fn straightening_strain(&self) -> f64 {
        match self.straightening {
            Straightening::Fingers => 0.0,
            Straightening::Pulls | Straightening::AfterCutting => PULL_STRAIN * f64::from(self.pulls_n),
        }
    }

    /// How a joint is left in a wire: what does not fuse is soldered, what bears no torch is left shut.
    ///
    /// ```
    /// use lorimant_core::tool::method::{Joint, Methods};
    /// use lorimant_core::wire::Wire;
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// let fused = Methods { joint: Joint::Fuse, ..Methods::default() };
    /// let of = |metal| fused.joint_of(&Wire::round(metal, 1.0, Temper::Soft));
    /// assert_eq!((of(Metal::FineSilver), of(Metal::Copper)), (Joint::Fuse, Joint::Solder));
    /// assert_eq!(of(Metal::Titanium), Joint::Open);
    /// ```
    #[must_use]
    pub fn joint_of(&self, wire: &Wire) -> Joint {
        let solders = wire.metal.joins_by(&[Joining::Solder, Joining::SolderGently]);
        match self.joint {
            _ if wire.surface.bears_heat().is_err() => Joint::Open,
            Joint::Fuse if wire.metal.joins_by(&[Joining::Fuse]) => Joint::Fuse,
            Joint::Fuse | Joint::Solder if solders => Joint::Solder,
            _ => Joint::Open,
        }
    }

    /// Checks its numbers.
    ///
    /// # Errors
    /// A fault for each that is out of its limits.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        faults.keep(Self::PULLS.check("pulls_n", f64::from(self.pulls_n)));
        faults.keep(Self::HOURS.check("tumble_h", self.tumble_h));
        faults.keep(Self::LONG.check("long_mm", self.long_mm));
        faults.into_result()
    }
}

macro_rules! method_changes {
    ($($(#[$doc:meta])* $field:ident: $of:ty),* $(,)?) => {
        /// Methods that one plan chooses otherwise than its workshop.
        #[derive(Debug, Clone, Copy, PartialEq, Default, Serialize, Deserialize)]
        #[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
        #[serde(deny_unknown_fields, default)]
        pub struct MethodChanges {
            $($(#[$doc])* #[serde(skip_serializing_if = "Option::is_none")] pub $field: Option<$of>,)*
        }

        impl MethodChanges {
            /// The workshop's methods, with what this plan chooses.
            #[must_use]
            pub fn over(&self, methods: Methods) -> Methods {
                Methods { $($field: self.$field.unwrap_or(methods.$field),)* ..methods }
            }

            /// Every one of them chosen.
            #[must_use]
            pub fn all(methods: Methods) -> Self {
                Self { $($field: Some(methods.$field),)* }
            }

            /// Whether nothing is chosen otherwise.
            #[must_use]
            pub fn is_empty(&self) -> bool {
                *self == Self::default()
            }

            /// The same with an answer chosen, by the words it travels as; none where there is no such field or word.
            ///
            /// ```
            /// use lorimant_core::tool::method::{MethodChanges, Hardening};
            ///
            /// let barrel = MethodChanges::default().choosing("hardening", "tumble").unwrap();
            /// assert_eq!(barrel.hardening, Some(Hardening::Tumble));
            /// assert_eq!(MethodChanges::default().choosing("hardening", "shouting"), None);
            /// ```
            #[must_use]
            pub fn choosing(mut self, field: &str, word: &str) -> Option<Self> {
                match field {
                    $(stringify!($field) => self.$field = Some(word.parse().ok()?),)*
                    _ => return None,
                }
                Some(self)
            }
        }

        impl Methods {
            /// The word of what is chosen for a question; none where there is no such field.
            ///
            /// ```
            /// use lorimant_core::tool::method::Methods;
            ///
            /// assert_eq!(Methods::default().chosen("hardening").as_deref(), Some("mallet"));
            /// ```
            #[must_use]
            pub fn chosen(&self, field: &str) -> Option<String> {
                match field {
                    $(stringify!($field) => Some(self.$field.worded()),)*
                    _ => None,
                }
            }
        }
    };
}

method_changes! {
    /// How wire is straightened.
    straightening: Straightening,
    /// Which side of a cut is flush.
    flat_to: FlatTo,
    /// When a finding is cut off the spool.
    cut: CutWhen,
    /// When a blank is marked.
    marking: Marking,
    /// What is held while wire is wrapped.
    wrap_tail: WrapTail,
    /// What holds the tail of a coil wound by hand.
    anchor: AnchorBy,
    /// Where a coil is sawn from.
    saw_from: SawFrom,
    /// Whether it is sawn at a slight slant.
    slanted: bool,
    /// Whether a coil is spread before it is snipped.
    spread: bool,
    /// How the joint of a ring is left.
    joint: Joint,
    /// How a finished piece is hardened.
    hardening: Hardening,
    /// How tips are rounded.
    rounding: Rounding,
    /// Whether a piece is hammered before its tips are rounded.
    hammer_first: bool,
    /// What comes first, a loop or the neck below it.
    neck: NeckWhen,
    /// Whether the rings of a chain that go in shut are shut while it is built.
    close_while_building: bool,
}

/// A choice that travels as a word.
trait Worded {
    fn worded(self) -> String;
}

impl Worded for bool {
    fn worded(self) -> String {
        self.to_string()
    }
}

macro_rules! worded {
    ($($of:ty),*) => {
        $(impl Worded for $of {
            fn worded(self) -> String {
                self.word().to_owned()
            }
        })*
    };
}

worded!(
    Straightening,
    FlatTo,
    CutWhen,
    Marking,
    WrapTail,
    AnchorBy,
    SawFrom,
    Joint,
    Hardening,
    Rounding,
    NeckWhen
);
