//! Finding records by words: those of a record and its name, whatever their case in whatever script, and never those
//! of the form it is kept in.

use std::sync::Arc;

use lorimant_core::fault::Fault;
use rusqlite::Connection;
use rusqlite::functions::FunctionFlags;
use serde_json::Value;

use super::error::{Result, StoreError};
use lorimant_text::text;

/// Longest text that is looked for, characters.
const LONGEST: usize = 200;

/// The clause that holds for entries with every word of what is bound as this parameter.
pub(super) fn clause(parameter: usize) -> String {
    // Whoever looks for nothing waits for no record to be read.
    format!("(trim(?{parameter}) = '' OR finds(?{parameter}, name, record))")
}

/// Refuses to look for more than anyone would type.
pub(super) fn check(find: &str) -> Result<()> {
    if find.chars().count() <= LONGEST {
        return Ok(());
    }
    let message = text!("file-search-that-search-too-long-enter", LONGEST);
    Err(StoreError::Refused(Fault::new("find", message).limit(200.0).into()))
}

/// Case folded, so that ß is found as SS and Σ as ς: up, and down again.
fn folded(text: &str) -> String {
    text.to_uppercase().to_lowercase()
}

/// Adds what a record says to a text, a blank between; the names of its fields are left out.
fn say(value: &Value, into: &mut String) {
    match value {
        Value::String(text) => {
            into.push_str(text);
            into.push(' ');
        }
        Value::Number(number) => {
            into.push_str(&number.to_string());
            into.push(' ');
        }
        Value::Array(all) => all.iter().for_each(|one| say(one, into)),
        Value::Object(fields) => fields.values().for_each(|one| say(one, into)),
        Value::Null | Value::Bool(_) => {}
    }
}

/// Teaches a connection to find: `finds(words, name, record)`.
pub(super) fn teach(connection: &Connection) -> rusqlite::Result<()> {
    let flags = FunctionFlags::SQLITE_UTF8 | FunctionFlags::SQLITE_DETERMINISTIC;
    connection.create_scalar_function("finds", 3, flags, |given| {
        let words: Arc<Vec<String>> = given.get_or_create_aux(0, |words| -> rusqlite::Result<_> {
            Ok(folded(words.as_str()?).split_whitespace().map(str::to_owned).collect())
        })?;
        let mut all = format!("{} ", given.get_raw(1).as_str()?);
        // A damaged record is found by its name.
        if let Ok(record) = serde_json::from_str(given.get_raw(2).as_str()?) {
            say(&record, &mut all);
        }
        let all = folded(&all);
        Ok(words.iter().all(|word| all.contains(word)))
    })
}
