//! When an order that is not taken yet could be ready, and whom its due day would make wait.

use jiff::civil::Date;
use serde::Serialize;

use super::{Agenda, JobOf, Ready, Unmet};
use crate::words::date;
use lorimant_text::text;

/// When an order could be ready.
#[derive(Debug, Clone, PartialEq, Serialize)]
#[cfg_attr(feature = "schema", derive(utoipa::ToSchema))]
pub struct Promise {
    /// The earliest day it is ready beside everything else.
    #[serde(skip_serializing_if = "Option::is_none")]
    #[cfg_attr(feature = "schema", schema(value_type = Option<String>, format = Date))]
    pub ready_on: Option<Date>,
    /// The same in a sentence.
    pub text: String,
    /// What its due day would make late, or push out of the hours there are.
    pub pushes: Vec<String>,
}

impl Promise {
    /// What is promised of an order, by its number, from the agendas without it and with it.
    #[must_use]
    pub fn of(order: i64, without: &Agenda, with: &Agenda) -> Self {
        let its_own = |of: JobOf| matches!(of, JobOf::Line { order: of, .. } if of == order);
        let own: Vec<&Ready> = with.ready.iter().filter(|one| its_own(one.of)).collect();
        let unmet =
            with.unmet.iter().find(|one| its_own(one.of) && own.iter().all(|ready| ready.of != one.of));
        let ready_on = own.iter().map(|one| one.day).max().filter(|_| unmet.is_none());
        let text = match (ready_on, unmet) {
            (Some(on), _) if own.iter().any(|one| one.late) => {
                text!("promise-ready-at-earliest-after-its", on = date::on(on))
            }
            (Some(on), _) => text!("promise-ready", on = date::on(on)),
            (None, Some(unmet)) => unmet.text.clone(),
            (None, None) => text!("promise-ready-now-in-stock").to_owned(),
        };
        let known = |one: &&Unmet| without.unmet.iter().all(|was| was.of != one.of);
        let pushed = with.unmet.iter().filter(|one| !its_own(one.of)).filter(known);
        Self { ready_on, text, pushes: pushed.map(|one| one.text.clone()).collect() }
    }
}
