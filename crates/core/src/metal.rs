//! The metals a bench works in, with their handbook figures in one table.

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
    /// Plastic strain spent since annealing: ln 1.261 = 0.232 for each B&S number drawn.
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

/// Handbook figures of one metal: typical values for wrought metal, not a certificate.
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
    /// How it is joined at the bench.
    pub joins: &'static str,
    /// What skin and torch should know.
    pub care: &'static str,
    /// The colour of the bare metal, as `#rrggbb`.
    pub colour: &'static str,
}

impl Metal {
    /// Whether its wire may be listed in the steel-wire gauge.
    pub fn is_steel(self) -> bool {
        matches!(self, Self::StainlessSteel | Self::MildSteel)
    }

    /// This metal's handbook figures.
    ///
    /// Source: typical values of metals handbooks for wrought wire (ASM Handbook vol. 2 and makers'
    /// sheets), the hardening constants fitted to the tempers' listed strengths. Estimates.
    pub fn figures(self) -> Figures {
        let row = |modulus_gpa, annealed_mpa, saturated_mpa, hardening_strain, density, breaks| {
            move |anneals_c, melts_c, joins, care, colour| Figures {
                modulus_gpa,
                annealed_mpa,
                saturated_mpa,
                hardening_strain,
                density_g_cm3: density,
                fracture_strain: breaks,
                anneals_c,
                melts_c,
                joins,
                care,
                colour,
            }
        };
        match self {
            Self::Copper => row(117.0, 70.0, 360.0, 0.48, 8.94, 1.6)(
                (370, 650),
                (1083, 1083),
                "solder",
                "Stains skin. Not in a fresh piercing.",
                "#b9683a",
            ),
            Self::Brass => row(110.0, 110.0, 520.0, 0.46, 8.53, 1.4)(
                (425, 700),
                (915, 955),
                "solder",
                "Stains skin. Not in a fresh piercing. Gives off zinc fumes if overheated.",
                "#c5a14a",
            ),
            Self::RedBrass => row(115.0, 85.0, 450.0, 0.47, 8.75, 1.5)(
                (425, 725),
                (990, 1025),
                "solder",
                "Stains skin. Not in a fresh piercing.",
                "#bd8447",
            ),
            Self::PhosphorBronze => row(110.0, 140.0, 700.0, 0.62, 8.86, 1.2)(
                (475, 675),
                (955, 1050),
                "solder",
                "Stains skin. Not in a fresh piercing.",
                "#b07a45",
            ),
            Self::NickelSilver => row(125.0, 170.0, 600.0, 0.50, 8.73, 1.1)(
                (600, 750),
                (1020, 1060),
                "solder",
                "Contains nickel: not against skin, not in an ear.",
                "#a9a696",
            ),
            Self::SterlingSilver => row(76.0, 130.0, 440.0, 0.55, 10.36, 1.2)(
                (600, 650),
                (802, 893),
                "solder",
                "Firescale under the torch. Tarnishes.",
                "#a7abb2",
            ),
            Self::GermaniumSilver => row(76.0, 115.0, 420.0, 0.55, 10.30, 1.2)(
                (550, 620),
                (770, 860),
                "fuse or solder",
                "Brittle while red hot: let the glow go before you move it. No firescale.",
                "#adb1b4",
            ),
            Self::FineSilver => row(76.0, 50.0, 310.0, 0.50, 10.49, 2.0)(
                (300, 650),
                (961, 961),
                "fuse or solder",
                "Stays soft.",
                "#b4b7bb",
            ),
            Self::GoldFilled => row(108.0, 115.0, 520.0, 0.48, 8.65, 1.2)(
                (540, 620),
                (880, 950),
                "solder, gently",
                "The gold is a skin, 1/20 of the weight: do not file through it.",
                "#cda349",
            ),
            Self::SilverFilled => row(108.0, 110.0, 510.0, 0.48, 8.70, 1.2)(
                (540, 620),
                (780, 900),
                "solder, gently",
                "The silver is a skin: do not file through it. It wears in time.",
                "#b3b1a8",
            ),
            Self::Gold14k => row(95.0, 200.0, 700.0, 0.60, 13.07, 1.0)(
                (650, 750),
                (830, 890),
                "solder",
                "Fineness marks differ by country.",
                "#d2a53c",
            ),
            Self::Aluminium => row(69.0, 35.0, 165.0, 0.60, 2.71, 1.5)(
                (345, 415),
                (643, 657),
                "not at the bench",
                "Marks easily. Tires and breaks when bent to and fro.",
                "#b5bac0",
            ),
            Self::StainlessSteel => row(193.0, 260.0, 1850.0, 1.0, 8.00, 1.4)(
                (1010, 1120),
                (1400, 1450),
                "weld",
                "Hard on hands and cutters. Contains bound nickel: ask about it.",
                "#959a9d",
            ),
            Self::MildSteel => row(205.0, 240.0, 720.0, 0.80, 7.85, 1.1)(
                (680, 760),
                (1430, 1510),
                "braze",
                "Rusts. Never heat galvanised or plated steel.",
                "#7f848a",
            ),
            Self::Niobium => row(103.0, 120.0, 420.0, 0.90, 8.57, 2.0)(
                (900, 1200),
                (2468, 2468),
                "not at the bench",
                "Well tolerated. Cannot be annealed in air.",
                "#8d8b92",
            ),
            Self::Titanium => row(103.0, 240.0, 700.0, 0.90, 4.51, 0.8)(
                (650, 760),
                (1668, 1668),
                "not at the bench",
                "Well tolerated. Cannot be annealed in air.",
                "#8f8c88",
            ),
        }
    }
}
