//! The JSON document plans are taken out and brought back in as.

use lorimant_core::fault::{Fault, Faults};
use lorimant_core::mandrel::Mandrel;
use lorimant_core::plier::Plier;
use serde::{Deserialize, Deserializer, Serialize, de};
use utoipa::{OpenApi, ToSchema};

use crate::store::kept::{Kept, KeptBlade, KeptPattern, KeptPlan, Settings};

/// Plans and patterns, and what else of a workshop goes with them. Schema: `docs/schema/plans.schema.json`.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub(crate) struct PlanDocument {
    /// Always `lorimant-plans`.
    #[serde(deserialize_with = "right_format")]
    pub format: String,
    /// Version of this format: 1.
    #[serde(deserialize_with = "said_version")]
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
}

const FORMAT: &str = "lorimant-plans";
const VERSION: u32 = 1;

fn right_format<'de, D: Deserializer<'de>>(from: D) -> Result<String, D::Error> {
    said_format(from, FORMAT)
}

/// The format a file says it is of, which must be this one.
pub(crate) fn said_format<'de, D: Deserializer<'de>>(from: D, wanted: &str) -> Result<String, D::Error> {
    let format = String::deserialize(from)?;
    if format != wanted {
        return Err(de::Error::custom(format!("This file says it is “{format}”; it must say “{wanted}”.")));
    }
    Ok(format)
}

/// The version a file says it is of, which must be the one there is.
pub(crate) fn said_version<'de, D: Deserializer<'de>>(from: D) -> Result<u32, D::Error> {
    let version = u32::deserialize(from)?;
    if version != VERSION {
        return Err(de::Error::custom(format!(
            "This file is of version {version}; this program reads version {VERSION}."
        )));
    }
    Ok(version)
}

impl PlanDocument {
    /// A document of plans and patterns alone.
    pub fn of(plans: Vec<KeptPlan>, patterns: Vec<KeptPattern>) -> Self {
        Self {
            format: FORMAT.to_owned(),
            version: VERSION,
            settings: None,
            rods: vec![],
            pliers: vec![],
            blades: vec![],
            plans,
            patterns,
        }
    }
}

impl PlanDocument {
    /// Everything wrong with it, each at its place in the file.
    pub fn check(&self) -> Result<(), Faults> {
        let mut faults = vec![];
        let mut collect = |place: String, result: Result<(), Faults>| {
            if let Err(Faults(found)) = result {
                faults.extend(found.into_iter().map(|fault| fault.within(&place)));
            }
        };
        for (i, plan) in self.plans.iter().enumerate() {
            collect(format!("plans[{i}]"), plan.check());
        }
        for (i, pattern) in self.patterns.iter().enumerate() {
            collect(format!("patterns[{i}]"), pattern.check());
        }
        for (i, plier) in self.pliers.iter().enumerate() {
            collect(format!("pliers[{i}]"), Kept::check(plier));
        }
        for (i, rod) in self.rods.iter().enumerate() {
            collect(format!("rods[{i}]"), Kept::check(rod));
        }
        for (i, blade) in self.blades.iter().enumerate() {
            collect(format!("blades[{i}]"), blade.check());
        }
        let records =
            [self.plans.len(), self.patterns.len(), self.rods.len(), self.pliers.len(), self.blades.len()];
        if records.iter().sum::<usize>() == 0 {
            faults.push(Fault::new("plans", "The file holds no plans, patterns, rods, pliers or blades."));
        }
        if faults.is_empty() { Ok(()) } else { Err(Faults(faults)) }
    }
}

#[derive(OpenApi)]
#[openapi(components(schemas(PlanDocument)))]
struct DescribedPlans;

#[derive(OpenApi)]
#[openapi(components(schemas(super::rack::RackDocument)))]
struct DescribedRack;

/// The JSON schema of a document of plans, made from the same types that read it.
pub(crate) fn schema() -> String {
    schema_of(&DescribedPlans::openapi(), "PlanDocument", "Lorimant plans")
}

/// The JSON schema of a rack, made from the same types that read it.
pub(crate) fn rack_schema() -> String {
    schema_of(&DescribedRack::openapi(), "RackDocument", "Lorimant rack")
}

fn schema_of(described: &utoipa::openapi::OpenApi, name: &str, title: &str) -> String {
    let described = serde_json::to_value(described).unwrap_or_default();
    let mut schemas = described["components"]["schemas"].clone();
    let document = schemas.as_object_mut().and_then(|all| all.remove(name)).unwrap_or_default();
    let mut schema = serde_json::json!({
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "title": title,
        "$defs": schemas,
    });
    if let (Some(schema), Some(document)) = (schema.as_object_mut(), document.as_object()) {
        schema.extend(document.clone());
    }
    let text = serde_json::to_string_pretty(&schema).unwrap_or_default();
    text.replace("#/components/schemas/", "#/$defs/")
}
