//! The JSON document plans are taken out and brought back in as.

use lorimant_core::chain::weave::Weave;
use lorimant_core::fault::{Fault, Faults};
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::plier::Plier;
use serde::{Deserialize, Deserializer, Serialize};
use utoipa::ToSchema;

use crate::kept::{Kept, KeptBlade, KeptChain, KeptPattern, KeptPlan, Settings};
use lorimant_text::text;

/// Plans, patterns, chains and weaves, and what else of a workshop goes with them. Schema: `docs/schema/plans.schema.json`.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct PlanDocument {
    /// Always `lorimant-plans`.
    #[serde(deserialize_with = "right_format")]
    pub format: String,
    /// Version of this format: 1.
    #[serde(deserialize_with = "super::said_version")]
    pub version: u32,
    /// Settings of the workshop; only read into a new one.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub settings: Option<Settings>,
    /// Rods of the workshop.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub rods: Vec<Mandrel>,
    /// Pliers of the workshop.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub pliers: Vec<Plier>,
    /// Saw blades of the workshop.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub blades: Vec<KeptBlade>,
    /// Kept ring plans.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub plans: Vec<KeptPlan>,
    /// Kept patterns.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub patterns: Vec<KeptPattern>,
    /// Kept chains.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub chains: Vec<KeptChain>,
    /// A maker's own weaves.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub weaves: Vec<Weave>,
}

const FORMAT: &str = "lorimant-plans";

fn right_format<'de, D: Deserializer<'de>>(from: D) -> Result<String, D::Error> {
    super::said_format(from, FORMAT)
}

impl PlanDocument {
    /// A document of plans and patterns alone.
    pub fn of(plans: Vec<KeptPlan>, patterns: Vec<KeptPattern>) -> Self {
        Self {
            format: FORMAT.to_owned(),
            version: super::VERSION,
            settings: None,
            rods: vec![],
            pliers: vec![],
            blades: vec![],
            plans,
            patterns,
            chains: vec![],
            weaves: vec![],
        }
    }
}

impl PlanDocument {
    /// Everything wrong with it, each at its place in the file.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = Faults::none();
        for (i, plan) in self.plans.iter().enumerate() {
            faults.nest(&format!("plans[{i}]"), plan.check());
        }
        for (i, pattern) in self.patterns.iter().enumerate() {
            faults.nest(&format!("patterns[{i}]"), pattern.check());
        }
        for (i, chain) in self.chains.iter().enumerate() {
            faults.nest(&format!("chains[{i}]"), chain.check());
        }
        for (i, weave) in self.weaves.iter().enumerate() {
            faults.nest(&format!("weaves[{i}]"), weave.check());
        }
        for (i, plier) in self.pliers.iter().enumerate() {
            faults.nest(&format!("pliers[{i}]"), Kept::check(plier));
        }
        for (i, rod) in self.rods.iter().enumerate() {
            faults.nest(&format!("rods[{i}]"), Kept::check(rod));
        }
        for (i, blade) in self.blades.iter().enumerate() {
            faults.nest(&format!("blades[{i}]"), blade.check());
        }
        let records = [
            self.plans.len(),
            self.patterns.len(),
            self.chains.len(),
            self.weaves.len(),
            self.rods.len(),
            self.pliers.len(),
            self.blades.len(),
        ];
        if records.iter().sum::<usize>() == 0 {
            let message = text!("api-plans-file-holds-no-plans-patterns");
            faults.add(Fault::new("plans", message));
        }
        faults.into_result()
    }
}
