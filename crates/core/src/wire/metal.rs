//! The metals a bench works in: all that is known of each stands in its one row of the table.
//!
//! Whoever wants to know whether a metal stains, fuses or may be melted asks its row; no list of metals
//! stands anywhere else.

use serde::Serialize;

use crate::words::words;

words! {
    /// A metal, as wire is sold.
    pub enum Metal ("metal") {
        /// Pure copper.
        Copper = "copper", "copper";
        /// Cartridge brass, 70/30.
        Brass = "brass", "brass";
        /// Red brass, 85/15.
        RedBrass = "red-brass", "red brass";
        /// Phosphor bronze, about 5 % tin.
        PhosphorBronze = "phosphor-bronze", "phosphor bronze";
        /// Nickel silver: copper, nickel and zinc; no silver in it.
        NickelSilver = "nickel-silver", "nickel silver";
        /// Sterling silver, 925.
        SterlingSilver = "sterling-silver", "sterling silver";
        /// Germanium sterling, 935.
        GermaniumSilver = "germanium-silver", "germanium silver";
        /// Fine silver, 999.
        FineSilver = "fine-silver", "fine silver";
        /// Gold-filled, 14/20 on brass.
        GoldFilled = "gold-filled", "gold-filled";
        /// Silver-filled on brass.
        SilverFilled = "silver-filled", "silver-filled";
        /// Yellow gold, 14 k.
        Gold14k = "gold-14k", "14 k gold";
        /// Aluminium 1100.
        Aluminium = "aluminium", "aluminium";
        /// Stainless steel, 304 or 316L.
        StainlessSteel = "stainless-steel", "stainless steel";
        /// Mild steel, annealed.
        MildSteel = "mild-steel", "mild steel";
        /// Niobium.
        Niobium = "niobium", "niobium";
        /// Titanium, grade 1.
        Titanium = "titanium", "titanium";
    }
}

words! {
    /// How hard a wire is sold: strain already spent since annealing.
    pub enum Temper ("temper") {
        /// Annealed.
        Soft = "soft", "soft";
        /// One number drawn since annealing.
        QuarterHard = "quarter-hard", "quarter-hard";
        /// Two numbers drawn.
        HalfHard = "half-hard", "half-hard";
        /// Three numbers drawn.
        ThreeQuarterHard = "three-quarter-hard", "three-quarter-hard";
        /// Four numbers drawn.
        Hard = "hard", "hard";
        /// Six numbers drawn.
        ExtraHard = "extra-hard", "extra-hard";
        /// Eight numbers drawn.
        Spring = "spring", "spring-hard";
    }
}

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
                "doux",
                "blando",
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
                "medio duro",
            ],
            Self::ThreeQuarterHard => {
                &["three quarter hard", "3/4 hard", "3/4-hard", "¾ hard", "dreiviertelhart"]
            }
            Self::Hard => &["full hard", "full-hard", "fh", "hart", "dur", "duro"],
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
}

/// One standard deviation of the flow stress of a metal as bought, as a share of it, until a lot
/// has been measured.
pub const FLOW_STRESS_SPREAD: f64 = 0.15;
/// One standard deviation of Young's modulus, as a share of it.
pub const MODULUS_SPREAD: f64 = 0.03;

words! {
    /// How a metal is joined at the bench.
    pub enum Joining ("way a metal is joined") {
        /// To itself, by heat alone.
        Fuse = "fuse", "fuse";
        /// With solder.
        Solder = "solder", "solder";
        /// With solder and little heat, for its skin's sake.
        SolderGently = "solder-gently", "solder, gently";
        /// Welded.
        Weld = "weld", "weld";
        /// Brazed.
        Braze = "braze", "braze";
    }
}

words! {
    /// Nickel in a metal.
    pub enum Nickel ("content of nickel") {
        /// None.
        Free = "free", "none";
        /// Bound in the alloy, released slowly: a question for the wearer.
        Bound = "bound", "bound";
        /// So much that it must not touch skin.
        Contained = "contained", "contained";
    }
}

words! {
    /// How a metal's end draws up in the flame.
    pub enum Balls ("way of balling") {
        /// To a bright ball.
        Bright = "bright", "bright";
        /// To a ball that blackens and wants pickle.
        Blackens = "blackens", "blackens";
        /// Not well at the bench.
        Badly = "badly", "badly";
        /// It must not be melted: its skin runs into the core.
        Never = "never", "never";
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
    /// Density, g/cm³.
    pub density_g_cm3: f64,
    /// True strain at which an annealed piece breaks.
    pub fracture_strain: f64,
    /// Annealing range, °C, about.
    pub anneals_c: (u16, u16),
    /// Melting range, °C, about.
    pub melts_c: (u16, u16),
    /// Whether it can be annealed in air, as a torch does it.
    pub anneals_in_air: bool,
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
    pub tires: bool,
    /// Whether it stays soft however it is worked.
    pub stays_soft: bool,
    /// Whether it is sold by troy weight.
    pub precious: bool,
    /// Share of the weight that is a rolled-on skin of another metal.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub skin_share: Option<f64>,
    /// What a gram of its wire costs, about, from cheap by the kilogram to dear by the foot, in any of the usual
    /// currencies: wide enough only to tell a decimal comma from one that parts thousands.
    #[serde(skip)]
    pub(crate) gram_costs: (f64, f64),
    /// What skin and torch should know.
    pub care: &'static str,
    /// The colour of the bare metal, as `#rrggbb`.
    pub colour: &'static str,
    /// What shops and makers call it besides its own name: English, German, French, Spanish, and the
    /// trade's abbreviations.
    #[serde(skip)]
    pub(crate) called: &'static [&'static str],
}

/// A metal of which nothing has to be said: what rows differ from.
const PLAIN: Figures = Figures {
    modulus_gpa: 0.0,
    annealed_mpa: 0.0,
    saturated_mpa: 0.0,
    hardening_strain: 0.0,
    density_g_cm3: 0.0,
    fracture_strain: 0.0,
    anneals_c: (0, 0),
    melts_c: (0, 0),
    anneals_in_air: true,
    joins: &[Joining::Solder],
    balls: Balls::Badly,
    stains: false,
    rusts: false,
    nickel: Nickel::Free,
    darkens: false,
    tires: false,
    stays_soft: false,
    precious: false,
    skin_share: None,
    gram_costs: (0.003, 2.0),
    care: "",
    colour: "",
    called: &[],
};

/// A row's mechanical figures: modulus, annealed and saturated flow stress, strain constant, density,
/// strain at fracture.
const fn mechanics(
    [modulus_gpa, annealed_mpa, saturated_mpa, hardening_strain, density, breaks]: [f64; 6],
) -> Figures {
    Figures {
        modulus_gpa,
        annealed_mpa,
        saturated_mpa,
        hardening_strain,
        density_g_cm3: density,
        fracture_strain: breaks,
        ..PLAIN
    }
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
            Self::Copper => &COPPER,
            Self::Brass => &BRASS,
            Self::RedBrass => &RED_BRASS,
            Self::PhosphorBronze => &PHOSPHOR_BRONZE,
            Self::NickelSilver => &NICKEL_SILVER,
            Self::SterlingSilver => &STERLING_SILVER,
            Self::GermaniumSilver => &GERMANIUM_SILVER,
            Self::FineSilver => &FINE_SILVER,
            Self::GoldFilled => &GOLD_FILLED,
            Self::SilverFilled => &SILVER_FILLED,
            Self::Gold14k => &GOLD_14K,
            Self::Aluminium => &ALUMINIUM,
            Self::StainlessSteel => &STAINLESS_STEEL,
            Self::MildSteel => &MILD_STEEL,
            Self::Niobium => &NIOBIUM,
            Self::Titanium => &TITANIUM,
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
        if ways.is_empty() { "not at the bench".to_owned() } else { ways.join(" or ") }
    }
}

const COPPER: Figures = Figures {
    anneals_c: (370, 650),
    melts_c: (1083, 1083),
    stains: true,
    darkens: true,
    balls: Balls::Blackens,
    care: "Stains skin. Not in a fresh piercing.",
    colour: "#b9683a",
    called: &["bare copper", "kupfer", "kupferdraht", "cuivre", "cobre", "cu"],
    ..mechanics([117.0, 70.0, 360.0, 0.48, 8.94, 1.6])
};

const BRASS: Figures = Figures {
    anneals_c: (425, 700),
    melts_c: (915, 955),
    stains: true,
    darkens: true,
    care: "Stains skin. Not in a fresh piercing. Gives off zinc fumes if overheated.",
    colour: "#c5a14a",
    called: &["yellow brass", "messing", "messingdraht", "laiton", "latón", "laton", "ms63"],
    ..mechanics([110.0, 110.0, 520.0, 0.46, 8.53, 1.4])
};

const RED_BRASS: Figures = Figures {
    anneals_c: (425, 725),
    melts_c: (990, 1025),
    stains: true,
    darkens: true,
    care: "Stains skin. Not in a fresh piercing.",
    colour: "#bd8447",
    called: &["gilding metal", "rotmessing", "tombak", "tombac", "laiton rouge", "latón rojo"],
    ..mechanics([115.0, 85.0, 450.0, 0.47, 8.75, 1.5])
};

const PHOSPHOR_BRONZE: Figures = Figures {
    anneals_c: (475, 675),
    melts_c: (955, 1050),
    stains: true,
    darkens: true,
    care: "Stains skin. Not in a fresh piercing.",
    colour: "#b07a45",
    called: &[
        "phosphorbronze",
        "phos bronze",
        "ph. bronze",
        "ph bronze",
        "phos. bronze",
        "phosbronze",
        "bronze phosphoreux",
        "bronce fosforoso",
    ],
    ..mechanics([110.0, 140.0, 700.0, 0.62, 8.86, 1.2])
};

const NICKEL_SILVER: Figures = Figures {
    anneals_c: (600, 750),
    melts_c: (1020, 1060),
    nickel: Nickel::Contained,
    care: "Contains nickel: not against skin, not in an ear.",
    colour: "#a9a696",
    called: &["nickel-silver", "german silver", "neusilber", "alpaka", "alpaca", "maillechort"],
    ..mechanics([125.0, 170.0, 600.0, 0.50, 8.73, 1.1])
};

const STERLING_SILVER: Figures = Figures {
    anneals_c: (600, 650),
    melts_c: (802, 893),
    precious: true,
    darkens: true,
    balls: Balls::Blackens,
    gram_costs: (0.4, 12.0),
    care: "Firescale under the torch. Tarnishes.",
    colour: "#a7abb2",
    called: &[
        "sterling",
        "sterlingsilber",
        "silber 925",
        "925 silber",
        "925 silver",
        "silver 925",
        "argent 925",
        "argent massif",
        "plata 925",
        "plata de ley",
        "ag925",
        "ster.",
        "ster",
        ".925",
        "925",
        "stg",
    ],
    ..mechanics([76.0, 130.0, 440.0, 0.55, 10.36, 1.2])
};

const GERMANIUM_SILVER: Figures = Figures {
    anneals_c: (550, 620),
    melts_c: (770, 860),
    precious: true,
    darkens: true,
    balls: Balls::Bright,
    joins: &[Joining::Fuse, Joining::Solder],
    gram_costs: (0.5, 14.0),
    care: "Brittle while red hot: let the glow go before you move it. No firescale.",
    colour: "#adb1b4",
    called: &[
        "germanium sterling",
        "germanium sterling silver",
        "935 germanium",
        "argent au germanium",
        "plata con germanio",
    ],
    ..mechanics([76.0, 115.0, 420.0, 0.55, 10.30, 1.2])
};

const FINE_SILVER: Figures = Figures {
    anneals_c: (300, 650),
    melts_c: (961, 961),
    precious: true,
    darkens: true,
    stays_soft: true,
    balls: Balls::Bright,
    joins: &[Joining::Fuse, Joining::Solder],
    gram_costs: (0.4, 12.0),
    care: "Stays soft.",
    colour: "#b4b7bb",
    called: &[
        "pure silver",
        "feinsilber",
        "silber 999",
        "999 silver",
        "silver 999",
        "argent fin",
        "argent 999",
        "plata fina",
        "plata 999",
        ".999",
        "999",
    ],
    ..mechanics([76.0, 50.0, 310.0, 0.50, 10.49, 2.0])
};

const GOLD_FILLED: Figures = Figures {
    anneals_c: (540, 620),
    melts_c: (880, 950),
    skin_share: Some(0.05),
    balls: Balls::Never,
    joins: &[Joining::SolderGently],
    gram_costs: (0.3, 12.0),
    care: "The gold is a skin, 1/20 of the weight: do not file through it.",
    colour: "#cda349",
    called: &[
        "gold filled",
        "goldfilled",
        "14/20 gold filled",
        "14/20 gf",
        "14k gold filled",
        "14k gold-filled",
        "14/20",
        "14k gf",
        "12k gf",
        "gf",
        "gold gefüllt",
        "or rempli",
        "relleno de oro",
    ],
    ..mechanics([108.0, 115.0, 520.0, 0.48, 8.65, 1.2])
};

const SILVER_FILLED: Figures = Figures {
    anneals_c: (540, 620),
    melts_c: (780, 900),
    skin_share: Some(0.1),
    darkens: true,
    balls: Balls::Never,
    joins: &[Joining::SolderGently],
    gram_costs: (0.05, 5.0),
    care: "The silver is a skin: do not file through it. It wears in time.",
    colour: "#b3b1a8",
    called: &["silver filled", "silverfilled", "silber gefüllt", "argent rempli", "relleno de plata"],
    ..mechanics([108.0, 110.0, 510.0, 0.48, 8.70, 1.2])
};

const GOLD_14K: Figures = Figures {
    anneals_c: (650, 750),
    melts_c: (830, 890),
    precious: true,
    gram_costs: (20.0, 250.0),
    care: "Fineness marks differ by country.",
    colour: "#d2a53c",
    called: &[
        "gold 14k",
        "14k gold",
        "14kt gold",
        "14 karat gold",
        "14 ct gold",
        "14ct gold",
        "14k yellow gold",
        "solid 14k gold",
        "gold 585",
        "or 14k",
        "or 585",
        "oro 14k",
        "oro 585",
        "585",
    ],
    ..mechanics([95.0, 200.0, 700.0, 0.60, 13.07, 1.0])
};

const ALUMINIUM: Figures = Figures {
    anneals_c: (345, 415),
    melts_c: (643, 657),
    tires: true,
    joins: &[],
    gram_costs: (0.004, 2.0),
    care: "Marks easily. Tires and breaks when bent to and fro.",
    colour: "#b5bac0",
    called: &["aluminum", "aludraht", "aluminio", "alu"],
    ..mechanics([69.0, 35.0, 165.0, 0.60, 2.71, 1.5])
};

const STAINLESS_STEEL: Figures = Figures {
    anneals_c: (1010, 1120),
    melts_c: (1400, 1450),
    nickel: Nickel::Bound,
    joins: &[Joining::Weld],
    care: "Hard on hands and cutters. Contains bound nickel: ask about it.",
    colour: "#959a9d",
    called: &["stainless", "edelstahl", "acier inoxydable", "inox", "acero inoxidable", "316l", "316", "304"],
    ..mechanics([193.0, 260.0, 1850.0, 1.0, 8.00, 1.4])
};

const MILD_STEEL: Figures = Figures {
    anneals_c: (680, 760),
    melts_c: (1430, 1510),
    rusts: true,
    joins: &[Joining::Braze],
    care: "Rusts. Never heat galvanised or plated steel.",
    colour: "#7f848a",
    called: &[
        "annealed steel",
        "black steel",
        "iron wire",
        "binding wire",
        "bindedraht",
        "eisendraht",
        "fil de fer",
        "alambre recocido",
        "iron",
    ],
    ..mechanics([205.0, 240.0, 720.0, 0.80, 7.85, 1.1])
};

const NIOBIUM: Figures = Figures {
    anneals_c: (900, 1200),
    melts_c: (2468, 2468),
    anneals_in_air: false,
    joins: &[],
    gram_costs: (0.1, 15.0),
    care: "Well tolerated. Cannot be annealed in air.",
    colour: "#8d8b92",
    called: &["niob", "niobio", "nb"],
    ..mechanics([103.0, 120.0, 420.0, 0.90, 8.57, 2.0])
};

const TITANIUM: Figures = Figures {
    anneals_c: (650, 760),
    melts_c: (1668, 1668),
    anneals_in_air: false,
    joins: &[],
    gram_costs: (0.05, 10.0),
    care: "Well tolerated. Cannot be annealed in air.",
    colour: "#8f8c88",
    called: &["titan", "titane", "titanio", "ti"],
    ..mechanics([103.0, 240.0, 700.0, 0.90, 4.51, 0.8])
};
