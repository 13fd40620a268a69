//! The patterns, one file each. A new one is a file here and a line in [`ALL`].

mod balled_head_pin;
mod coil_cap;
mod cone_cap;
mod doubled_hook;
pub(crate) mod eye_pin;
mod figure_eight;
mod folded_pair;
pub(crate) mod hook_clasp;
pub(crate) mod open_ear_wire;
mod oval_ring;
mod paddle_head_pin;
mod plain_head_pin;
mod pointed_ear_wire;
mod round_ring;
mod s_clasp;
mod s_link;
mod shaped_ring;
mod smallest_ring;
mod spiral_hook;
mod trefoil_head_pin;
mod wrapped_ear_wire;
mod wrapped_loop_link;

use super::Pattern;

/// Every pattern, in the order people list them.
pub static ALL: &[&Pattern] = &[
    &open_ear_wire::PATTERN,
    &wrapped_ear_wire::PATTERN,
    &pointed_ear_wire::PATTERN,
    &folded_pair::PATTERN,
    &eye_pin::PATTERN,
    &plain_head_pin::PATTERN,
    &balled_head_pin::PATTERN,
    &paddle_head_pin::PATTERN,
    &trefoil_head_pin::PATTERN,
    &hook_clasp::PATTERN,
    &s_clasp::PATTERN,
    &doubled_hook::PATTERN,
    &spiral_hook::PATTERN,
    &figure_eight::PATTERN,
    &s_link::PATTERN,
    &wrapped_loop_link::PATTERN,
    &coil_cap::PATTERN,
    &cone_cap::PATTERN,
    &round_ring::PATTERN,
    &oval_ring::PATTERN,
    &shaped_ring::PATTERN,
    &smallest_ring::PATTERN,
];
