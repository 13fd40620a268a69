//! The JSON documents a workshop is taken out and brought back in as, and their published schemas.

pub(crate) mod plans;
pub(crate) mod rack;
pub(crate) mod whole;

use lorimant_core::words::quoted;
use lorimant_text::text;
use serde::{Deserialize as _, Deserializer, de};
use utoipa::OpenApi;

/// Version of the documents.
const VERSION: u32 = 1;

/// The format a file says it is of, which must be this one.
pub(crate) fn said_format<'de, D: Deserializer<'de>>(from: D, wanted: &str) -> Result<String, D::Error> {
    let format = String::deserialize(from)?;
    if format != wanted {
        return Err(de::Error::custom(text!(
            "api-document-this-file-says-must-say",
            format = quoted(&format),
            wanted
        )));
    }
    Ok(format)
}

/// The version a file says it is of, which must be the one there is.
pub(crate) fn said_version<'de, D: Deserializer<'de>>(from: D) -> Result<u32, D::Error> {
    let version = u32::deserialize(from)?;
    if version != VERSION {
        return Err(de::Error::custom(text!(
            "api-document-this-file-version-this-program",
            version,
            VERSION
        )));
    }
    Ok(version)
}

#[derive(OpenApi)]
#[openapi(components(schemas(plans::PlanDocument)))]
struct DescribedPlans;

#[derive(OpenApi)]
#[openapi(components(schemas(rack::RackDocument)))]
struct DescribedRack;

#[derive(OpenApi)]
#[openapi(components(schemas(whole::Line)))]
struct DescribedLines;

/// The JSON schema of one line of a whole workshop, made from the same types that read it.
pub(crate) fn line_schema() -> String {
    schema_of(&DescribedLines::openapi(), "Line", "A line of a Lorimant workshop")
}

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
