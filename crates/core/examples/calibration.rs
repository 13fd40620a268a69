//! How true the stated ± is: lots whose factors are hidden, measured so often, and the ring of another rod foretold.
//! Prints a table and draws `docs/calibration.svg`.
//!
//! `cargo run --release --package lorimant-core --example calibration`

use lorimant_core::learn::lot::{Inside, MeasuredInside, inside_with, learn};
use lorimant_core::learn::simulated::Simulated;
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::hand::HandSpread;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::wire::Wire;
use lorimant_core::wire::lot::LotFactor;
use lorimant_core::wire::metal::{Metal, Temper};

/// Ten workshops of two hundred lots each.
const WORKSHOPS: u64 = 10;
const LOTS: u32 = 200;
/// How often each lot is measured.
const MEASURED: [u64; 4] = [0, 1, 3, 6];

/// A foretold ring: how far it is off, and how far that is in stated standard deviations.
struct Foretold {
    off_mm: f64,
    share: f64,
    springs_mm: f64,
}

fn main() -> std::io::Result<()> {
    let all: Vec<(u64, Vec<Foretold>)> = MEASURED.iter().map(|n| (*n, foretold(*n))).collect();
    println!("measured  lots  within 1 s  within 2 s  median off, mm  where it springs 0.3 mm and more");
    for (n, rings) in &all {
        let within = |s: f64| rings.iter().filter(|ring| ring.share <= s).count() as f64 / rings.len() as f64;
        let median = |least: f64| {
            let mut off: Vec<f64> =
                rings.iter().filter(|r| r.springs_mm >= least).map(|r| r.off_mm).collect();
            off.sort_by(f64::total_cmp);
            off[off.len() / 2]
        };
        println!(
            "{n:8}  {:4}  {:9.1} %  {:9.1} %  {:14.4}  {:14.4}",
            rings.len(),
            100.0 * within(1.0),
            100.0 * within(2.0),
            median(0.0),
            median(0.3)
        );
    }
    let path = concat!(env!("CARGO_MANIFEST_DIR"), "/../../docs/calibration.svg");
    std::fs::write(path, drawn(&all))
}

fn foretold(measured_n: u64) -> Vec<Foretold> {
    let lots = (0..WORKSHOPS).flat_map(|seed| (0..LOTS).map(move |i| (seed, i)));
    lots.filter_map(|(seed, i)| one(seed, i, measured_n)).collect()
}

fn one(seed: u64, i: u32, measured_n: u64) -> Option<Foretold> {
    let workshop = Simulated { seed, hand: HandSpread::default() };
    let lot_n = i64::from(i) + 1;
    let metal = Metal::ALL[i as usize % Metal::ALL.len()];
    let temper = Temper::ALL[(i as usize / 3) % Temper::ALL.len()];
    let size_mm = 0.6 + 0.1 * f64::from(i % 11);
    let ratio = 3.0 + f64::from(i * 7 % 50) / 10.0;
    let rod = (ratio * size_mm * 10.0).round() / 10.0;
    let wound = RingRequest::new(Wire::round(metal, size_mm, temper), Mandrel::round(rod), 40);
    let springs_mm = inside_with(&wound, Inside::Coil, 1.0)? - rod;
    let coil = |nth: u64| {
        let really = workshop.inside_mm(&wound, Inside::Coil, lot_n, nth)?;
        let inside_mm = (0..3).map(|at| workshop.caliper_mm(really, nth, at)).sum::<f64>() / 3.0;
        let (wound, of) = (wound.clone(), Inside::Coil);
        Some(MeasuredInside { wound, of, inside_mm, readings_n: 3, off_spool_mm: None, excluded: false })
    };
    let learned = learn(&(0..measured_n).map(coil).collect::<Option<Vec<_>>>()?, &workshop.hand);
    let lot = if measured_n > 0 { learned.lot(lot_n) } else { LotFactor::unmeasured(lot_n) };
    let wire = Wire { lot: Some(lot), ..wound.wire.clone() };
    let next = RingRequest { wire, mandrel: Mandrel::round((rod * 11.0).round() / 10.0), ..wound.clone() };
    let plan = next.plan().ok()?;
    let hidden = workshop.lot(lot_n);
    let mut truth = next;
    truth.wire.size_mm *= hidden.size;
    let off_mm = (plan.ring_inside_diameter_mm - inside_with(&truth, Inside::Ring, hidden.flow)?).abs();
    Some(Foretold { off_mm, share: off_mm / plan.ring_inside_spread_mm, springs_mm })
}

/// Share of lots within so many stated standard deviations, against what a normal spread would have.
fn drawn(all: &[(u64, Vec<Foretold>)]) -> String {
    let (wide, high, edge) = (640.0, 400.0, 50.0);
    let x = |s: f64| edge + s / 3.0 * (wide - 2.0 * edge);
    let y = |share: f64| high - edge - share * (high - 2.0 * edge);
    let line = |at: &dyn Fn(f64) -> f64| {
        let points = (0..=60).map(|i| 0.05 * f64::from(i)).map(|s| format!("{:.1},{:.1}", x(s), y(at(s))));
        points.collect::<Vec<_>>().join(" ")
    };
    // The error function by its series, enough for a drawing.
    let normal = |s: f64| {
        let z = s / std::f64::consts::SQRT_2;
        let term = |n: i32| {
            let factorial: f64 = (1..=n).map(f64::from).product();
            (-1.0_f64).powi(n) * z.powi(2 * n + 1) / (factorial * f64::from(2 * n + 1))
        };
        2.0 / std::f64::consts::PI.sqrt() * (0..40).map(term).sum::<f64>()
    };
    let colours = ["#8a8f96", "#1e6b63", "#a86a12", "#22262b"];
    let mut svg = format!(
        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {wide} {high}\" font-family=\"sans-serif\" font-size=\"13\">\n\
         <rect width=\"{wide}\" height=\"{high}\" fill=\"#f7f5ef\"/>\n"
    );
    for share in [0.0, 0.5, 0.683, 0.954, 1.0] {
        svg.push_str(&format!(
            "<path d=\"M{:.1} {:.1}H{:.1}\" stroke=\"#cbc5b8\"/><text x=\"{:.1}\" y=\"{:.1}\" text-anchor=\"end\">{:.0} %</text>\n",
            x(0.0), y(share), x(3.0), x(0.0) - 6.0, y(share) + 4.0, 100.0 * share
        ));
    }
    for s in 0..=3 {
        let at = f64::from(s);
        svg.push_str(&format!(
            "<text x=\"{:.1}\" y=\"{:.1}\" text-anchor=\"middle\">{s}</text>\n",
            x(at),
            y(0.0) + 18.0
        ));
    }
    svg.push_str(&format!(
        "<text x=\"{:.1}\" y=\"{:.1}\" text-anchor=\"middle\">stated standard deviations</text>\n\
         <text x=\"{:.1}\" y=\"24\">lots whose ring lies within, by coils measured (dashed: what a normal spread has)</text>\n\
         <polyline points=\"{}\" fill=\"none\" stroke=\"#22262b\" stroke-dasharray=\"5 4\"/>\n",
        x(1.5), high - 10.0, edge, line(&normal)
    ));
    for ((n, rings), colour) in all.iter().zip(colours) {
        let held = |s: f64| rings.iter().filter(|ring| ring.share <= s).count() as f64 / rings.len() as f64;
        svg.push_str(&format!(
            "<polyline points=\"{}\" fill=\"none\" stroke=\"{colour}\" stroke-width=\"1.8\"/>\n",
            line(&held)
        ));
        let row = 0.1 + 0.08 * MEASURED.iter().position(|one| one == n).unwrap_or(0) as f64;
        svg.push_str(&format!(
            "<path d=\"M{:.1} {:.1}h26\" stroke=\"{colour}\" stroke-width=\"3\"/><text x=\"{:.1}\" y=\"{:.1}\">{n} measured</text>\n",
            x(2.1), y(row), x(2.1) + 34.0, y(row) + 4.0
        ));
    }
    svg.push_str("</svg>\n");
    svg
}
