//! Making: what is done to a workpiece, from the spool to the bag, one operation after another.
//!
//! An operation is one thing a maker does; each has a file under [`operations`]. It says what must hold before it, what
//! it changes in the [`Workpiece`], what it takes, with what tool at which place, and what can hurt. A route is the
//! list of operations for a piece: rings and findings write the part that only they know, the workshop's
//! [methods](crate::tool::method) the rest, and a maker may change it for one plan. [`run`] does them one after the other;
//! whatever is said about making is read off what comes of that.

pub mod holds;
pub(crate) mod offers;
pub mod operation;
pub mod operations;
pub mod place;
pub mod route;
pub mod run;
pub mod takes;
pub(crate) mod telling;
pub mod wear;
pub mod workpiece;

pub use operation::Operation;
pub use route::{Changes, Inserted};
pub use run::{Bench, Done, Made, Numbers, Perform, Step, run};
pub use takes::Takes;
pub use workpiece::Workpiece;
