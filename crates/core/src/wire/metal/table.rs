//! The table of metals: one row each, all that is known of it.

use super::heat::{Annealing, Cooling, HeatCue};
use super::{Balls, Commonness, Figures, Joining, Nickel};
use lorimant_text::Text;

/// A metal of which nothing has to be said: what rows differ from.
const PLAIN: Figures = Figures {
    modulus_gpa: 0.0,
    annealed_mpa: 0.0,
    saturated_mpa: 0.0,
    hardening_strain: 0.0,
    slow_mpa: 0.0,
    slow_strain: 1.0,
    density_g_cm3: 0.0,
    fracture_strain: 0.0,
    anneals_c: (0, 0),
    melts_c: (0, 0),
    annealing: None,
    cooling: Cooling::WaterWhenBlack,
    hot_short: false,
    pickles: true,
    joins: &[Joining::Solder],
    balls: Balls::Badly,
    stains: false,
    rusts: false,
    nickel: Nickel::Free,
    darkens: false,
    fatigues: false,
    stays_soft: false,
    precious: false,
    how_common: Commonness::Everyday,
    skin_share: None,
    gram_costs: (0.003, 2.0),
    care: Text::NONE,
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

/// The same with slow hardening: its flow stress in the end and its strain constant.
const fn hardening_on([slow_mpa, slow_strain]: [f64; 2], row: Figures) -> Figures {
    Figures { slow_mpa, slow_strain, ..row }
}

pub(super) const COPPER: Figures = Figures {
    anneals_c: (370, 650),
    annealing: Some(Annealing::new(HeatCue::FirstRed, 5, Cooling::WaterWhenBlack)),
    melts_c: (1083, 1083),
    stains: true,
    darkens: true,
    balls: Balls::Blackens,
    care: Text::named("metal-table-stains-skin-not-in-fresh"),
    colour: "#b9683a",
    called: &["bare copper", "kupfer", "kupferdraht", "cuivre", "cobre", "cu"],
    ..mechanics([117.0, 70.0, 360.0, 0.48, 8.94, 1.6])
};

pub(super) const BRASS: Figures = Figures {
    anneals_c: (425, 700),
    annealing: Some(Annealing::new(HeatCue::FirstRed, 5, Cooling::WaterWhenBlack)),
    melts_c: (915, 955),
    stains: true,
    darkens: true,
    care: Text::named("metal-table-stains-skin-not-in-fresh-piercing"),
    colour: "#c5a14a",
    called: &["yellow brass", "messing", "messingdraht", "laiton", "latón", "laton", "ms63"],
    ..hardening_on([630.0, 0.8], mechanics([110.0, 110.0, 330.0, 0.14, 8.53, 1.4]))
};

pub(super) const RED_BRASS: Figures = Figures {
    anneals_c: (425, 725),
    annealing: Some(Annealing::new(HeatCue::FirstRed, 5, Cooling::WaterWhenBlack)),
    melts_c: (990, 1025),
    stains: true,
    darkens: true,
    care: Text::named("metal-table-stains-skin-not-in-fresh"),
    colour: "#bd8447",
    called: &["gilding metal", "rotmessing", "tombak", "tombac", "laiton rouge", "latón rojo"],
    ..hardening_on([465.0, 1.05], mechanics([115.0, 85.0, 335.0, 0.16, 8.75, 1.5]))
};

pub(super) const PHOSPHOR_BRONZE: Figures = Figures {
    how_common: Commonness::AtTimes,
    anneals_c: (475, 675),
    annealing: Some(Annealing::new(HeatCue::FirstRed, 5, Cooling::Air)),
    cooling: Cooling::Air,
    hot_short: true,
    melts_c: (955, 1050),
    stains: true,
    darkens: true,
    care: Text::named("metal-table-stains-skin-not-in-fresh"),
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
    ..hardening_on([830.0, 1.35], mechanics([110.0, 140.0, 345.0, 0.13, 8.86, 1.2]))
};

pub(super) const NICKEL_SILVER: Figures = Figures {
    how_common: Commonness::AtTimes,
    anneals_c: (600, 750),
    annealing: Some(Annealing::new(HeatCue::FirstRed, 10, Cooling::Air)),
    cooling: Cooling::Air,
    melts_c: (1020, 1060),
    nickel: Nickel::Contained,
    care: Text::named("metal-table-contains-nickel-not-against-skin"),
    colour: "#a9a696",
    called: &["nickel-silver", "german silver", "neusilber", "alpaka", "alpaca", "maillechort"],
    ..hardening_on([370.0, 1.45], mechanics([125.0, 170.0, 535.0, 0.20, 8.73, 1.2]))
};

pub(super) const STERLING_SILVER: Figures = Figures {
    anneals_c: (600, 650),
    annealing: Some(Annealing::new(HeatCue::FluxClears, 5, Cooling::WaterWhenBlack)),
    melts_c: (802, 893),
    precious: true,
    darkens: true,
    balls: Balls::Blackens,
    gram_costs: (0.4, 12.0),
    care: Text::named("metal-table-firescale-under-torch-tarnishes"),
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
        "ss925",
        "stg",
    ],
    ..mechanics([76.0, 130.0, 440.0, 0.55, 10.36, 1.2])
};

pub(super) const GERMANIUM_SILVER: Figures = Figures {
    anneals_c: (550, 620),
    annealing: Some(Annealing::new(HeatCue::FluxClears, 5, Cooling::Air)),
    cooling: Cooling::Air,
    hot_short: true,
    melts_c: (770, 860),
    precious: true,
    darkens: true,
    balls: Balls::Bright,
    joins: &[Joining::Fuse, Joining::Solder],
    gram_costs: (0.5, 14.0),
    care: Text::named("metal-table-brittle-while-hot-let-cool"),
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

pub(super) const FINE_SILVER: Figures = Figures {
    anneals_c: (300, 650),
    annealing: Some(Annealing::new(HeatCue::TurnsWhite, 5, Cooling::WaterWhenBlack)),
    melts_c: (961, 961),
    precious: true,
    darkens: true,
    stays_soft: true,
    balls: Balls::Bright,
    joins: &[Joining::Fuse, Joining::Solder],
    gram_costs: (0.4, 12.0),
    care: Text::named("metal-table-stays-soft"),
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

pub(super) const GOLD_FILLED: Figures = Figures {
    anneals_c: (540, 620),
    annealing: Some(Annealing::new(HeatCue::FluxClears, 2, Cooling::WaterWhenBlack)),
    melts_c: (880, 950),
    skin_share: Some(0.05),
    balls: Balls::Never,
    joins: &[Joining::SolderGently],
    gram_costs: (0.3, 12.0),
    care: Text::named("metal-table-gold-outer-layer-1-20"),
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
    ..hardening_on([605.0, 0.8], mechanics([108.0, 115.0, 320.0, 0.14, 8.65, 1.2]))
};

pub(super) const SILVER_FILLED: Figures = Figures {
    anneals_c: (540, 620),
    annealing: Some(Annealing::new(HeatCue::FluxClears, 2, Cooling::WaterWhenBlack)),
    melts_c: (780, 900),
    skin_share: Some(0.1),
    darkens: true,
    balls: Balls::Never,
    joins: &[Joining::SolderGently],
    gram_costs: (0.05, 5.0),
    care: Text::named("metal-table-silver-outer-layer-do-not"),
    colour: "#b3b1a8",
    called: &["silver filled", "silverfilled", "silber gefüllt", "argent rempli", "relleno de plata"],
    ..hardening_on([600.0, 0.8], mechanics([108.0, 110.0, 320.0, 0.14, 8.70, 1.2]))
};

pub(super) const GOLD_14K: Figures = Figures {
    how_common: Commonness::Asked,
    anneals_c: (650, 750),
    annealing: Some(Annealing::new(HeatCue::FirstRed, 10, Cooling::WaterWhenBlack)),
    melts_c: (830, 890),
    precious: true,
    gram_costs: (20.0, 250.0),
    care: Text::named("metal-table-fineness-marks-differ-by-country"),
    colour: "#d2a53c",
    called: &[
        "gold 14k",
        "14k gold",
        "14 kt gold",
        "gold 14 kt",
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

pub(super) const ALUMINIUM: Figures = Figures {
    how_common: Commonness::AtTimes,
    anneals_c: (345, 415),
    annealing: Some(Annealing::new(HeatCue::MarkerFades, 2, Cooling::Air)),
    cooling: Cooling::Air,
    pickles: false,
    melts_c: (643, 657),
    fatigues: true,
    joins: &[],
    gram_costs: (0.004, 2.0),
    care: Text::named("metal-table-marks-easily-tires-breaks-when"),
    colour: "#b5bac0",
    called: &["aluminum", "aluminiumdraht", "aludraht", "aluminio", "alu"],
    ..mechanics([69.0, 35.0, 165.0, 0.60, 2.71, 1.5])
};

pub(super) const STAINLESS_STEEL: Figures = Figures {
    how_common: Commonness::AtTimes,
    anneals_c: (1010, 1120),
    annealing: Some(Annealing::new(HeatCue::BrightOrange, 5, Cooling::WaterAtOnce)),
    cooling: Cooling::WaterAtOnce,
    pickles: false,
    melts_c: (1400, 1450),
    nickel: Nickel::Bound,
    joins: &[Joining::Weld],
    care: Text::named("metal-table-hard-on-hands-cutters-contains"),
    colour: "#959a9d",
    called: &["stainless", "edelstahl", "acier inoxydable", "inox", "acero inoxidable", "316l", "316", "304"],
    ..mechanics([193.0, 260.0, 1850.0, 1.0, 8.00, 1.4])
};

pub(super) const MILD_STEEL: Figures = Figures {
    how_common: Commonness::Seldom,
    anneals_c: (680, 760),
    annealing: Some(Annealing::new(HeatCue::CherryRed, 10, Cooling::Slow)),
    cooling: Cooling::Slow,
    pickles: false,
    melts_c: (1430, 1510),
    rusts: true,
    joins: &[Joining::Braze],
    care: Text::named("metal-table-rusts-never-heat-galvanised-or"),
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

pub(super) const NIOBIUM: Figures = Figures {
    how_common: Commonness::Asked,
    anneals_c: (900, 1200),
    melts_c: (2468, 2468),
    cooling: Cooling::Air,
    balls: Balls::Never,
    joins: &[],
    gram_costs: (0.1, 15.0),
    care: Text::named("metal-table-well-tolerated-cannot-be-annealed"),
    colour: "#8d8b92",
    called: &["niob", "niobio", "nb"],
    ..mechanics([103.0, 120.0, 420.0, 0.90, 8.57, 2.0])
};

pub(super) const TITANIUM: Figures = Figures {
    how_common: Commonness::Asked,
    anneals_c: (650, 760),
    melts_c: (1668, 1668),
    cooling: Cooling::Air,
    balls: Balls::Never,
    joins: &[],
    gram_costs: (0.05, 10.0),
    care: Text::named("metal-table-well-tolerated-cannot-be-annealed"),
    colour: "#8f8c88",
    called: &["titan", "titane", "titanio", "ti"],
    ..mechanics([103.0, 240.0, 700.0, 0.90, 4.51, 0.8])
};
