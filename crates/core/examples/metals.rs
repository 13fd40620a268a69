//! Prints the table of metals by temper that stands in `docs/model.md`: `cargo run --package lorimant-core --example metals`.

use lorimant_core::wire::bending::FlowCurve;
use lorimant_core::wire::metal::{Metal, Temper};

/// The tempers shown.
const SHOWN: [Temper; 4] = [Temper::Soft, Temper::HalfHard, Temper::Hard, Temper::Spring];

fn main() {
    println!("| metal | soft | half-hard | hard | spring |");
    println!("|---|---|---|---|---|");
    for metal in Metal::ALL {
        let cells = SHOWN.iter().map(|temper| {
            let flow = FlowCurve::new(metal.figures(), temper.strain());
            let uniform = flow.necks_at();
            let tensile = flow.pulled(uniform);
            format!("{:.0} / {tensile:.0} / {uniform:.2}", flow.flow_stress(0.0))
        });
        println!("| {metal} | {} |", cells.collect::<Vec<_>>().join(" | "));
    }
}
