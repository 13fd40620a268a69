//! Wire on the rack: what there is, what a shop sells, which wire to take, what to cut it from, what it costs.

pub mod choose;
pub mod cost;
pub mod cut_plan;
pub mod listing;
pub mod stock;
