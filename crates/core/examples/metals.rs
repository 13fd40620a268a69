//! Prints the table of metals by temper that stands in `docs/model.md`: `cargo run --package lorimant-core --example metals`.

use lorimant_core::wire::bending::FlowCurve;
use lorimant_core::wire::metal::{Metal, Temper};

/// The tempers shown.
const SHOWN: [Temper; 4] = [Temper::Soft, Temper::HalfHard, Temper::Hard, Temper::Spring];

/// Tensile strength and uniform strain of wire drawn so hard: where the load is largest as it is pulled and thins.
fn necks_at(flow: &FlowCurve) -> (f64, f64) {
    let pulled = (0..=1000).map(|i| f64::from(i) / 1000.0).map(|e| (flow.flow_stress(e) * (-e).exp(), e));
    pulled.fold((0.0, 0.0), |most, one| if one.0 > most.0 { one } else { most })
}

fn main() {
    println!("| metal | soft | half-hard | hard | spring |");
    println!("|---|---|---|---|---|");
    for metal in Metal::ALL {
        let cells = SHOWN.iter().map(|temper| {
            let flow = FlowCurve::new(metal.figures(), temper.strain());
            let (tensile, uniform) = necks_at(&flow);
            format!("{:.0} / {tensile:.0} / {uniform:.2}", flow.flow_stress(0.0))
        });
        println!("| {metal} | {} |", cells.collect::<Vec<_>>().join(" | "));
    }
}
