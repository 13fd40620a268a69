//! Sizes of findings that records of earlier versions leave out: what was usual then.

use rusqlite::Connection;
use rusqlite::functions::FunctionFlags;
use serde_json::{Map, Value};

/// What was usual before version 15, where it is another now.
const USUAL: [(&str, &[(&str, f64)]); 3] = [
    (
        "open-ear-wire",
        &[
            ("loop_mm", 2.2),
            ("front_mm", 11.0),
            ("crown_mm", 9.0),
            ("back_mm", 19.0),
            ("tip_deg", 18.0),
            ("tip_mm", 4.0),
            ("loop_side", 0.0),
            ("hammered_mm", 0.0),
        ],
    ),
    (
        "folded-pair",
        &[
            ("loop_mm", 2.2),
            ("front_mm", 11.0),
            ("crown_mm", 9.0),
            ("back_mm", 19.0),
            ("tip_deg", 18.0),
            ("tip_mm", 4.0),
            ("fold_mm", 0.8),
        ],
    ),
    (
        "pointed-ear-wire",
        &[("loop_mm", 2.2), ("side_mm", 24.0), ("bulge_deg", 70.0), ("point_mm", 1.6), ("hammered_mm", 0.0)],
    ),
];

/// Gives every finding in a record the sizes it leaves out, wherever it stands, in text that is a record itself as well.
pub(super) fn fill(record: &mut Value) {
    match record {
        Value::Object(fields) => {
            fill_finding(fields);
            fields.values_mut().for_each(fill);
        }
        Value::Array(all) => all.iter_mut().for_each(fill),
        Value::String(text) if text.starts_with('{') => {
            if let Ok(mut inner) = serde_json::from_str(text) {
                fill(&mut inner);
                *text = inner.to_string();
            }
        }
        _ => {}
    }
}

fn fill_finding(fields: &mut Map<String, Value>) {
    let kind = fields.get("kind").and_then(Value::as_str);
    let Some((_, usual)) = USUAL.iter().find(|(known, _)| Some(*known) == kind) else { return };
    if !fields.contains_key("wire") {
        return;
    }
    let parameters = fields.entry("parameters").or_insert_with(|| Value::Object(Map::new()));
    let Some(parameters) = parameters.as_object_mut() else { return };
    for (name, value) in *usual {
        parameters.entry(*name).or_insert_with(|| (*value).into());
    }
}

/// Teaches a connection `with_earlier_sizes(record)`; what is no record stays as it is.
pub(super) fn teach(connection: &Connection) -> rusqlite::Result<()> {
    let flags = FunctionFlags::SQLITE_UTF8 | FunctionFlags::SQLITE_DETERMINISTIC;
    connection.create_scalar_function("with_earlier_sizes", 1, flags, |given| {
        let text = given.get_raw(0).as_str()?;
        let Ok(mut record) = serde_json::from_str(text) else { return Ok(text.to_owned()) };
        fill(&mut record);
        Ok(record.to_string())
    })
}
