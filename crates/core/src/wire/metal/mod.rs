//! The metals a bench works in: all that is known of each stands in its one row of the table.
//!
//! Whoever wants to know whether a metal stains, fuses or may be melted asks its row; no list of metals
//! stands anywhere else.

pub mod heat;
mod table;

use serde::Serialize;

use self::heat::{Annealing, Cooling};
use crate::words::words;
use lorimant_text::{Text, text};

words! {
    /// A metal, as wire is sold.
    pub enum Metal ("metal") {
        /// Pure copper.
        Copper = "copper";
        /// Cartridge brass, 70/30.
        Brass = "brass";
        /// Red brass, 85/15.
        RedBrass = "red-brass";
        /// Phosphor bronze, about 5 % tin.
        PhosphorBronze = "phosphor-bronze";
        /// Nickel silver: copper, nickel and zinc; no silver in it.
        NickelSilver = "nickel-silver";
        /// Sterling silver, 925.
        SterlingSilver = "sterling-silver";
        /// Germanium sterling, 935.
        GermaniumSilver = "germanium-silver";
        /// Fine silver, 999.
        FineSilver = "fine-silver";
        /// Gold-filled, 14/20 on brass.
        GoldFilled = "gold-filled";
        /// Silver-filled on brass.
        SilverFilled = "silver-filled";
        /// Yellow gold, 14 k.
        Gold14k = "gold-14k";
        /// Aluminium 1100.
        Aluminium = "aluminium";
        /// Stainless steel, 304 or 316L.
        StainlessSteel = "stainless-steel";
        /// Mild steel, annealed.
        MildSteel = "mild-steel";
        /// Niobium.
        Niobium = "niobium";
        /// Titanium, grade 1.
        Titanium = "titanium";
    }
}

words! {
    /// How commonly makers take a metal for findings.
    pub enum Commonness ("taken") {
        /// Every day.
        Everyday = "everyday";
        /// Now and then.
        AtTimes = "at-times";
        /// Seldom.
        Seldom = "seldom";
        /// Where it is asked for: for its price, its colour, or ears that bear little else.
        Asked = "asked";
    }
}

words! {
    /// How hard a wire is sold: strain already spent since annealing.
    pub enum Temper ("temper") {
        /// Annealed.
        Soft = "soft";
        /// One number drawn since annealing.
        QuarterHard = "quarter-hard";
        /// Two numbers drawn.
        HalfHard = "half-hard";
        /// Three numbers drawn.
        ThreeQuarterHard = "three-quarter-hard";
        /// Four numbers drawn.
        Hard = "hard";
        /// Six numbers drawn.
        ExtraHard = "extra-hard";
        /// Eight numbers drawn.
        Spring = "spring";
    }
}

/// Plastic strain of wire drawn down by one B&S number: ln 1.261, since each has 1.261 times the area of the next.
pub const ONE_NUMBER_DRAWN: f64 = 0.232;

impl Temper {
    /// What shops and makers call it besides its own name: English, German, French, Spanish.
    pub(crate) fn called(self) -> &'static [&'static str] {
        match self {
            Self::Soft => &[
                "dead soft",
                "dead-soft",
                "deadsoft",
                "annealed",
                "ds",
                "weich",
                "weichgeglüht",
                "recuit",
                "recocido",
                "recocida",
                "doux",
                "blando",
                "blanda",
            ],
            Self::QuarterHard => &["quarter hard", "1/4 hard", "1/4-hard", "¼ hard", "viertelhart", "qh"],
            Self::HalfHard => &[
                "half hard",
                "halfhard",
                "1/2 hard",
                "1/2-hard",
                "½ hard",
                "hh",
                "h/h",
                "halbhart",
                "demi dur",
                "demi-dur",
                "semiduro",
                "semidura",
                "medio duro",
            ],
            Self::ThreeQuarterHard => {
                &["three quarter hard", "3/4 hard", "3/4-hard", "¾ hard", "dreiviertelhart"]
            }
            Self::Hard => &["full hard", "full-hard", "fh", "hart", "dur", "duro", "dura"],
            Self::ExtraHard => &["extra hard"],
            Self::Spring => &["spring temper", "spring hard", "spring", "federhart", "dur ressort", "muelle"],
        }
    }

    /// Plastic strain spent since annealing: ln 1.261 = 0.232 for each B&S number drawn.
    ///
    /// ```
    /// use lorimant_core::wire::metal::Temper;
    ///
    /// // The strain cold work has spent: none in soft wire, more with each temper.
    /// assert_eq!(Temper::Soft.strain(), 0.0);
    /// assert!(Temper::ALL.windows(2).all(|pair| pair[0].strain() < pair[1].strain()));
    /// ```
    pub fn strain(self) -> f64 {
        match self {
            Self::Soft => 0.0,
            Self::QuarterHard => 0.232,
            Self::HalfHard => 0.464,
            Self::ThreeQuarterHard => 0.696,
            Self::Hard => 0.928,
            Self::ExtraHard => 1.392,
            Self::Spring => 1.856,
        }
    }

    /// What drawing it so hard has used of the strain the metal bears before it breaks.
    ///
    /// ```
    /// use lorimant_core::wire::metal::Temper;
    ///
    /// assert_eq!(Temper::Soft.bearing_spent(), 0.0);
    /// // Far less than it hardened the wire by.
    /// assert!(Temper::Spring.bearing_spent() < 0.5 * Temper::Spring.strain());
    /// ```
    pub fn bearing_spent(self) -> f64 {
        DRAWN_SHARE * self.strain()
    }
}

/// Share of its strain that drawing costs of what a metal bears before it breaks. Under the die the wire is pressed from
/// all sides, so it is damaged far less than where it is stretched freely: drawn hard, wire still necks down by a third
/// to a half before it breaks, and spring wire is wrapped on its own diameter. An estimate.
const DRAWN_SHARE: f64 = 0.4;

/// One standard deviation of the flow stress of a metal as bought, as a share of it, until a lot
/// has been measured.
pub const FLOW_STRESS_SPREAD: f64 = 0.15;
/// One standard deviation of Young's modulus, as a share of it.
pub const MODULUS_SPREAD: f64 = 0.03;

words! {
    /// How a metal is joined at the bench.
    pub enum Joining ("joining") {
        /// To itself, by heat alone.
        Fuse = "fuse";
        /// With solder.
        Solder = "solder";
        /// With solder and little heat, for its skin's sake.
        SolderGently = "solder-gently";
        /// Welded.
        Weld = "weld";
        /// Brazed.
        Braze = "braze";
    }
}

words! {
    /// Nickel in a metal.
    pub enum Nickel ("nickel") {
        /// None.
        Free = "free";
        /// Bound in the alloy, released slowly: a question for the wearer.
        Bound = "bound";
        /// So much that it must not touch skin.
        Contained = "contained";
    }
}

/// How soon a metal tarnishes.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Tarnish {
    /// Not in years.
    Never,
    /// In months.
    Slowly,
    /// In weeks.
    Soon,
}

words! {
    /// How a metal's end draws up in the flame.
    pub enum Balls ("balls") {
        /// To a bright ball.
        Bright = "bright";
        /// To a ball that blackens and wants pickle.
        Blackens = "blackens";
        /// Not well at the bench.
        Badly = "badly";
        /// It must not be melted: its skin runs into the core, or air turns it brittle.
        Never = "never";
    }
}

words! {
    /// Metals that may share a load of the barrel: they neither mark, plate nor rust each other.
    pub enum Company ("company") {
        /// Copper and its alloys.
        Copper = "copper";
        /// Silver, solid or as a skin.
        Silver = "silver";
        /// Gold, solid or as a skin.
        Gold = "gold";
        /// Aluminium: anything harder marks it.
        Aluminium = "aluminium";
        /// Stainless steel, niobium and titanium.
        Hard = "hard";
        /// Mild steel: its rust stains the others.
        Iron = "iron";
    }
}

/// All that is known of one metal: typical values for wrought metal, not a certificate.
#[derive(Debug, Clone, Copy, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Figures {
    /// Young's modulus, GPa, ±3 %.
    pub modulus_gpa: f64,
    /// Flow stress when annealed, MPa, ±15 %.
    pub annealed_mpa: f64,
    /// Flow stress that work hardening approaches, MPa, ±15 %.
    pub saturated_mpa: f64,
    /// Strain constant of the hardening curve.
    pub hardening_strain: f64,
    /// What slow hardening adds to the saturated flow stress in the end, MPa, ±15 %; 0 where one term holds.
    pub slow_mpa: f64,
    /// Strain constant of the slow hardening.
    pub slow_strain: f64,
    /// Density, g/cm³.
    pub density_g_cm3: f64,
    /// True strain at which an annealed piece breaks.
    pub fracture_strain: f64,
    /// Annealing range, °C, about.
    pub anneals_c: (u16, u16),
    /// Melting range, °C, about.
    pub melts_c: (u16, u16),
    /// How it is annealed with a torch; not at all where air spoils it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub annealing: Option<Annealing>,
    /// How it is cooled after any heat.
    pub cooling: Cooling,
    /// Whether it is brittle while hot, so that it breaks where it is moved or struck.
    pub hot_short: bool,
    /// Whether pickle takes off its scale without harm to it or to what else is in the pot.
    pub pickles: bool,
    /// How it is joined at the bench; not at all where the list is empty.
    pub joins: &'static [Joining],
    /// How its end draws up in the flame.
    pub balls: Balls,
    /// Whether it stains skin.
    pub stains: bool,
    /// Whether it rusts.
    pub rusts: bool,
    /// Nickel in it.
    pub nickel: Nickel,
    /// Whether the usual baths darken it.
    pub darkens: bool,
    /// Whether it tires and breaks when bent to and fro, and wears away in use.
    pub fatigues: bool,
    /// Whether it stays soft however it is worked.
    pub stays_soft: bool,
    /// Whether it is sold by troy weight.
    pub precious: bool,
    /// How commonly makers take it.
    pub how_common: Commonness,
    /// Share of the weight that is a rolled-on skin of another metal.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub skin_share: Option<f64>,
    /// What a gram of its wire costs, about, from cheap by the kilogram to dear by the foot, in any of the usual
    /// currencies: wide enough only to tell a decimal comma from one that parts thousands.
    #[serde(skip)]
    pub(crate) gram_costs: (f64, f64),
    /// What skin and torch should know.
    #[cfg_attr(feature = "schema", schema(value_type = String))]
    pub care: Text,
    /// The colour of the bare metal, as `#rrggbb`.
    pub colour: &'static str,
    /// What shops and makers call it besides its own name: English, German, French, Spanish, and the
    /// trade's abbreviations.
    #[serde(skip)]
    pub(crate) called: &'static [&'static str],
}

impl Metal {
    /// Whether its wire may be listed in the steel-wire gauge.
    ///
    /// ```
    /// use lorimant_core::wire::metal::Metal;
    ///
    /// assert!(Metal::StainlessSteel.is_steel());
    /// assert!(!Metal::Copper.is_steel());
    /// ```
    pub fn is_steel(self) -> bool {
        matches!(self, Self::StainlessSteel | Self::MildSteel)
    }

    /// Whether it is taken for silver when it is polished.
    pub fn looks_like_silver(self) -> bool {
        matches!(
            self,
            Self::SterlingSilver
                | Self::GermaniumSilver
                | Self::FineSilver
                | Self::SilverFilled
                | Self::NickelSilver
                | Self::StainlessSteel
                | Self::Aluminium
        )
    }

    /// Whether shops commonly sell wire of it in a temper: the ones between are drawn to order, or come about at the bench.
    ///
    /// ```
    /// use lorimant_core::wire::metal::{Metal, Temper};
    ///
    /// assert!(Metal::SterlingSilver.is_sold_in(Temper::HalfHard));
    /// assert!(!Metal::SterlingSilver.is_sold_in(Temper::Spring));
    /// assert!(Metal::StainlessSteel.is_sold_in(Temper::Spring));
    /// ```
    pub fn is_sold_in(self, temper: Temper) -> bool {
        match temper {
            Temper::Soft => true,
            Temper::HalfHard => !matches!(self, Self::MildSteel | Self::FineSilver | Self::Niobium),
            Temper::Hard => !matches!(
                self,
                Self::FineSilver
                    | Self::Niobium
                    | Self::Titanium
                    | Self::Copper
                    | Self::Gold14k
                    | Self::GoldFilled
                    | Self::SilverFilled
            ),
            Temper::Spring => {
                matches!(self, Self::StainlessSteel | Self::PhosphorBronze | Self::Brass | Self::NickelSilver)
            }
            Temper::QuarterHard | Temper::ThreeQuarterHard | Temper::ExtraHard => false,
        }
    }

    /// How soon it tarnishes when it is worn.
    pub fn tarnish(self) -> Tarnish {
        match self {
            Self::GoldFilled
            | Self::Gold14k
            | Self::StainlessSteel
            | Self::Niobium
            | Self::Titanium
            | Self::Aluminium => Tarnish::Never,
            Self::GermaniumSilver | Self::FineSilver => Tarnish::Slowly,
            _ => Tarnish::Soon,
        }
    }

    /// What so much wire of it costs beside copper, about: by what shops ask for a gram, at the middle of their range.
    ///
    /// ```
    /// use lorimant_core::wire::metal::Metal;
    ///
    /// assert_eq!(Metal::Copper.times_the_price_of_copper(), 1.0);
    /// assert!(Metal::Gold14k.times_the_price_of_copper() > Metal::SterlingSilver.times_the_price_of_copper());
    /// ```
    pub fn times_the_price_of_copper(self) -> f64 {
        let of = |metal: Self| {
            let figures = metal.figures();
            (figures.gram_costs.0 * figures.gram_costs.1).sqrt() * figures.density_g_cm3
        };
        of(self) / of(Self::Copper)
    }

    /// Which metals it may be tumbled with. Copper plates out on silver where the water turns sour, what is harder marks
    /// what is softer, and rust stains: a rule of the trade, kept on the safe side.
    ///
    /// ```
    /// use lorimant_core::wire::metal::Metal;
    ///
    /// assert_eq!(Metal::Brass.company(), Metal::Copper.company());
    /// assert_ne!(Metal::Brass.company(), Metal::SterlingSilver.company());
    /// ```
    #[must_use]
    pub fn company(self) -> Company {
        match self {
            Self::Copper | Self::Brass | Self::RedBrass | Self::PhosphorBronze | Self::NickelSilver => {
                Company::Copper
            }
            Self::SterlingSilver | Self::GermaniumSilver | Self::FineSilver | Self::SilverFilled => {
                Company::Silver
            }
            Self::GoldFilled | Self::Gold14k => Company::Gold,
            Self::Aluminium => Company::Aluminium,
            Self::StainlessSteel | Self::Niobium | Self::Titanium => Company::Hard,
            Self::MildSteel => Company::Iron,
        }
    }

    /// All that is known of this metal.
    ///
    /// Source: typical values of metals handbooks for wrought wire (ASM Handbook vol. 2 and makers'
    /// sheets), the hardening constants fitted to the tempers' listed strengths. Estimates.
    ///
    /// ```
    /// use lorimant_core::wire::metal::Metal;
    ///
    /// assert!(Metal::Copper.figures().stains);
    /// assert_eq!(Metal::SterlingSilver.figures().density_g_cm3, 10.36);
    /// ```
    pub fn figures(self) -> &'static Figures {
        match self {
            Self::Copper => &table::COPPER,
            Self::Brass => &table::BRASS,
            Self::RedBrass => &table::RED_BRASS,
            Self::PhosphorBronze => &table::PHOSPHOR_BRONZE,
            Self::NickelSilver => &table::NICKEL_SILVER,
            Self::SterlingSilver => &table::STERLING_SILVER,
            Self::GermaniumSilver => &table::GERMANIUM_SILVER,
            Self::FineSilver => &table::FINE_SILVER,
            Self::GoldFilled => &table::GOLD_FILLED,
            Self::SilverFilled => &table::SILVER_FILLED,
            Self::Gold14k => &table::GOLD_14K,
            Self::Aluminium => &table::ALUMINIUM,
            Self::StainlessSteel => &table::STAINLESS_STEEL,
            Self::MildSteel => &table::MILD_STEEL,
            Self::Niobium => &table::NIOBIUM,
            Self::Titanium => &table::TITANIUM,
        }
    }

    /// Whether it can be joined in one of these ways at the bench.
    ///
    /// ```
    /// use lorimant_core::wire::metal::{Joining, Metal};
    ///
    /// // Fine silver fuses to itself; sterling must be soldered.
    /// assert!(Metal::FineSilver.joins_by(&[Joining::Fuse]));
    /// assert!(!Metal::SterlingSilver.joins_by(&[Joining::Fuse]));
    /// ```
    pub fn joins_by(self, ways: &[Joining]) -> bool {
        self.figures().joins.iter().any(|way| ways.contains(way))
    }

    /// How it is joined, in words: `fuse or solder`, `not at the bench`.
    ///
    /// ```
    /// use lorimant_core::wire::metal::Metal;
    ///
    /// assert_eq!(Metal::FineSilver.joining(), "fuse or solder");
    /// assert_eq!(Metal::Titanium.joining(), "not at the bench");
    /// ```
    pub fn joining(self) -> String {
        let ways: Vec<&str> = self.figures().joins.iter().map(|way| way.shown()).collect();
        if ways.is_empty() { text!("metal-not-at-bench").to_owned() } else { ways.join(text!("sentence-or")) }
    }

    /// How it is annealed, in words.
    ///
    /// ```
    /// use lorimant_core::wire::metal::Metal;
    ///
    /// assert!(Metal::Aluminium.annealing_shown().starts_with("a felt-tip line"));
    /// assert_eq!(Metal::Titanium.annealing_shown(), "not in air");
    /// ```
    pub fn annealing_shown(self) -> String {
        let shown = |one: Annealing| format!("{}; {}", one.cue, one.cooling);
        self.figures().annealing.map_or(text!("metal-not-in-air").to_owned(), shown)
    }
}
