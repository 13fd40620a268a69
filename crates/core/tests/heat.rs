//! Every metal in every flame: what is refused, what shows that it is hot enough, how it is cooled.

use lorimant_core::making::operations::Anneal;
use lorimant_core::making::{Changes, Inserted, Operation};
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::ring::RingRequest;
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use rstest::rstest;

use crate::common::bench;

/// A ring's route with operations put in after it is shut, run.
fn ring_with(metal: Metal, temper: Temper, put: &[(Operation, Operation)]) -> Result<Vec<String>, String> {
    let with =
        put.iter().map(|(operation, after)| Inserted { after: Some(*after), ..Inserted::of(*operation) });
    let request = RingRequest::new(Wire::round(metal, 1.0, temper), Mandrel::round(8.0), 10);
    let changes = Changes { with: with.collect(), ..Changes::default() };
    let workshop = with_torch();
    let made =
        request.made(&workshop.methods, &changes, &workshop).map_err(|faults| format!("{faults:?}"))?;
    Ok(made.steps.iter().map(|step| format!("{} {}", step.operation, step.text)).collect())
}

fn with_torch() -> Workshop {
    let mut workshop = bench();
    workshop.gear.torch = true;
    workshop
}

fn text_of(steps: &[String], operation: &str) -> String {
    steps.iter().find(|step| step.starts_with(operation)).cloned().unwrap_or_default()
}

/// How most metals are cooled.
const GLOW_GONE: &str = "glow is gone";

/// What a bench handbook says of each: how hot is seen, how it is cooled, whether it fuses, solders, goes into pickle.
#[rstest]
#[case(Metal::Copper, "dull red", GLOW_GONE, false, true, true)]
#[case(Metal::Brass, "dull red", GLOW_GONE, false, true, true)]
#[case(Metal::RedBrass, "dull red", GLOW_GONE, false, true, true)]
#[case(Metal::PhosphorBronze, "dull red", "do not quench", false, true, true)]
#[case(Metal::NickelSilver, "dull red", "do not quench", false, true, true)]
#[case(Metal::SterlingSilver, "flux", GLOW_GONE, false, true, true)]
#[case(Metal::GermaniumSilver, "flux", "do not quench", true, true, true)]
#[case(Metal::FineSilver, "white", GLOW_GONE, true, true, true)]
#[case(Metal::GoldFilled, "flux", GLOW_GONE, false, true, true)]
#[case(Metal::SilverFilled, "flux", GLOW_GONE, false, true, true)]
#[case(Metal::Gold14k, "dull red", GLOW_GONE, false, true, true)]
#[case(Metal::Aluminium, "felt-tip", "do not quench", false, false, false)]
#[case(Metal::StainlessSteel, "bright orange", "at once", false, false, false)]
#[case(Metal::MildSteel, "cherry red", "an hour", false, false, false)]
#[case(Metal::Niobium, "", "", false, false, true)]
#[case(Metal::Titanium, "", "", false, false, true)]
fn each_metal_is_heated_as_it_bears(
    #[case] metal: Metal,
    #[case] cue: &str,
    #[case] cooled: &str,
    #[case] fuses: bool,
    #[case] solders: bool,
    #[case] pickles: bool,
) {
    use Operation::{Anneal, Close, Flux, Fuse, Pickle, Quench, Solder};
    let annealed = ring_with(metal, Temper::Soft, &[(Anneal, Close)]);
    if cue.is_empty() {
        assert!(annealed.unwrap_err().contains("brittle"));
    } else {
        let text = text_of(&annealed.unwrap(), "anneal");
        assert!(text.contains(cue) && text.contains(cooled), "{text}");
        // Only what glows at its annealing heat is told to glow.
        let glows = metal.figures().anneals_c.0 >= 350 && !["marker", "white"].contains(&cue);
        assert!(glows || !(text.contains(" red") || text.contains("glows ")) || cooled.contains("glows"));
    }
    for (join, does) in [(Fuse, fuses), (Solder, solders)] {
        let joined = ring_with(metal, Temper::Soft, &[(Flux, Close), (join, Flux), (Quench, join)]);
        assert_eq!(joined.is_ok(), does, "{join}: {joined:?}");
        if let Ok(steps) = joined {
            assert!(text_of(&steps, "cool").contains(if cooled == "do not quench" {
                cooled
            } else {
                "water"
            }));
        }
    }
    assert_eq!(ring_with(metal, Temper::Soft, &[(Flux, Close)]).is_ok(), fuses || solders, "flux");
    assert_eq!(ring_with(metal, Temper::Soft, &[(Pickle, Close)]).is_ok(), pickles, "pickle");
    // A ball is melted: not where a skin would run, nor where air spoils the metal.
    let mut pin = PatternRequest::usual("balled-head-pin".parse::<Kind>().unwrap());
    pin.wire = Wire::round(metal, 0.8, Temper::Soft);
    let skin = metal.figures().skin_share.is_some();
    assert_eq!(pin.sheet(&with_torch()).faults.is_empty(), !(skin || cue.is_empty()), "ball");
}

/// What is brittle while it is hot is not struck before it is cold; the rest waits, and nothing hot goes into acid.
#[rstest]
fn hot_metal_is_cooled_first(
    #[values(Metal::GermaniumSilver, Metal::PhosphorBronze, Metal::SterlingSilver, Metal::FineSilver)]
    metal: Metal,
    #[values(Operation::Hammer, Operation::Tumble)] work: Operation,
) {
    use Operation::{Close, Flux, Pickle, Quench, Solder};
    let hot =
        ring_with(metal, Temper::Soft, &[(Flux, Close), (Solder, Flux), (work, Solder), (Quench, work)]);
    assert_eq!(hot.is_err(), metal.figures().hot_short, "{hot:?}");
    let cold =
        ring_with(metal, Temper::Soft, &[(Flux, Close), (Solder, Flux), (Quench, Solder), (work, Quench)]);
    assert!(cold.is_ok(), "{cold:?}");
    let acid = ring_with(metal, Temper::Soft, &[(Flux, Close), (Solder, Flux), (Pickle, Solder)]);
    assert!(acid.unwrap_err().contains("spatters"));
}

/// No caution, check or hint tells to anneal what the anneal itself refuses: for its metal, its surface, for want of a torch.
#[rstest]
fn nothing_advises_an_anneal_that_is_refused(#[values(true, false)] torch: bool) {
    let mut workshop = with_torch();
    workshop.gear.torch = torch;
    let mut advised = 0;
    for metal in Metal::ALL.iter().copied() {
        let wire = Wire::round(metal, 1.6, Temper::Spring);
        let may = Anneal::of(&wire, &workshop.gear).is_ok();
        let ring = RingRequest::new(wire.clone(), Mandrel::round(3.0), 10);
        let mut told = serde_json::to_string(&ring.sheet(&workshop)).unwrap();
        for kind in Kind::all() {
            let request = PatternRequest { wire: wire.clone(), ..PatternRequest::usual(kind) };
            told += &serde_json::to_string(&request.sheet(&workshop)).unwrap();
        }
        // What is offered is tried, and says itself why not.
        let advice = told.to_lowercase().matches("anneal it").count();
        assert!(may || advice == 0, "{metal}: {advice}");
        advised += advice;
    }
    assert_eq!(advised > 0, torch);
}
