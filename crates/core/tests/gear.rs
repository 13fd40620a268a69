//! What stands on the bench: what it takes, and what is said where it takes less than is asked.
#![allow(clippy::unwrap_used, missing_docs)]

use crate::common::{bench, usual};
use lorimant_core::making::wear::{Wear, fit_for};
use lorimant_core::making::{Changes, Made, Operation};
use lorimant_core::pattern::{Kind, PatternRequest};
use lorimant_core::piece::Piece;
use lorimant_core::tool::gear::{Gear, Taper};
use lorimant_core::tool::mandrel::Mandrel;
use lorimant_core::tool::method::{Hardening, Methods};
use lorimant_core::tool::workshop::Workshop;
use lorimant_core::wire::Wire;
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::words::length::LengthUnit;
use rstest::rstest;

fn on(gear: Gear) -> Workshop {
    Workshop { gear, ..Workshop::default() }
}

fn made(request: &PatternRequest, shop: &Workshop) -> Made {
    request.form_with(shop).unwrap().made(&Changes::default(), shop).unwrap()
}

#[test]
fn wire_thicker_than_the_cutter_takes_is_sawn() {
    let hook = usual("hook-clasp");
    let cut = |gear: Gear| {
        let made = made(&hook, &on(gear));
        made.steps.into_iter().find(|step| step.operation == Operation::Cut).unwrap()
    };
    assert!(!cut(Gear::default()).misfit, "1.29 mm half-hard is what a usual cutter just takes");
    let small = Gear { cutter_hard_mm: 1.0, ..Gear::default() };
    assert!(cut(small).hint.unwrap().contains("saw it"));
    let sawn = cut(Gear { guide_block: true, ..small }).text;
    assert!(sawn.contains("saw it square in the guide block and file it flush to the block"), "{sawn}");
    // Steel that a spring is made of blunts a cutter that takes the same of silver.
    let spring = Wire::round(Metal::StainlessSteel, 1.2, Temper::Spring);
    assert!(Gear::default().sawn(&spring).is_some());
    assert!(Gear::default().sawn(&Wire::round(Metal::SterlingSilver, 1.2, Temper::Spring)).is_none());
}

#[test]
fn more_than_a_load_of_the_barrel_takes_its_time_again() {
    let hooks = PatternRequest { pieces_n: 100, ..usual("hook-clasp") };
    let methods = Methods { hardening: Hardening::Tumble, ..Methods::default() };
    let alone = |barrel_g: f64| {
        let shop = Workshop { methods, ..on(Gear { barrel_g, ..Gear::default() }) };
        made(&hooks, &shop).minutes(100).1
    };
    // A hundred of them weigh about 66 g.
    assert_eq!((alone(200.0), alone(40.0)), (120.0, 240.0));
}

#[rstest]
#[case("balled-head-pin")]
#[case("figure-eight")]
fn without_a_torch_nothing_is_heated(#[case] kind: &str) {
    let route = if kind == "figure-eight" {
        r#"{"with": [{"operation": "solder", "after": "close"}]}"#
    } else {
        "{}"
    };
    let request = PatternRequest { route: serde_json::from_str(route).unwrap(), ..usual(kind) };
    let shop = on(Gear { torch: false, ..Gear::default() });
    let refused = request.form_with(&shop).unwrap().made(&Changes::default(), &shop).unwrap_err();
    assert!(refused.0[0].message.contains("no torch is listed under Tools"), "{refused:?}");
}

#[test]
fn a_cone_is_placed_on_the_taper_that_is_there() {
    let coil = |taper: Taper| {
        let made = made(&usual("cone-cap"), &on(Gear { taper: Some(taper), ..Gear::default() }));
        made.steps.into_iter().find(|step| step.operation == Operation::Coil).unwrap()
    };
    let long = Taper { narrow_mm: 1.0, wide_mm: 11.0, length_mm: 100.0 };
    let step = coil(long);
    let (at, across) = (step.numbers.jaw_mm.unwrap(), step.numbers.tool_mm.unwrap());
    assert!((at - 10.0 * (across - 1.0)).abs() < 1e-9 && !step.misfit, "{at} for {across}");
    let stout = Taper { narrow_mm: 4.0, ..long };
    assert!(coil(stout).hint.unwrap().contains("across. Use another taper, or change the mouths"));
}

#[test]
fn numbers_out_of_their_limits_are_refused_where_they_stand() {
    let taper = Taper { narrow_mm: 5.0, wide_mm: 4.0, length_mm: 50.0 };
    let odd = Gear {
        cutter_mm: 0.0,
        cutter_hard_mm: 3.0,
        barrel_g: f64::NAN,
        taper: Some(taper),
        ..Gear::default()
    };
    let faults = odd.check().unwrap_err().0;
    for field in ["cutter_mm", "cutter_hard_mm", "barrel_g", "taper.wide_mm"] {
        assert!(faults.iter().any(|fault| fault.field == field), "{field}: {faults:?}");
    }
    assert!(Gear::default().check().is_ok());
}

/// What it ought to bear goes up with how it is worn, and is said of what bears alone.
#[test]
fn what_a_piece_is_fit_for_follows_its_load() {
    let asks = Wear::ALL.iter().map(|wear| wear.least_n().0);
    assert!(asks.clone().zip(asks.skip(1)).all(|(less, more)| less < more));
    let shop = Workshop::default();
    let route = |kind: &str| {
        let piece = Piece::Finding(usual(kind));
        piece.route(&shop).unwrap().totals
    };
    let hook = route("hook-clasp");
    let first = hook.holds.unwrap().first_set_n;
    assert!(hook.required.iter().all(|one| one.bears == (first >= one.least_n)) && hook.required.len() == 3);
    let fit = fit_for(&hook.required);
    assert_eq!(hook.required[0].bears, fit != "practice", "{fit}");
    assert!(route("eye-pin").required.is_empty(), "a pin does not open");
}

/// An anneal before a bend that is not there says how many there are.
#[test]
fn an_operation_is_put_before_the_one_that_is_named() {
    let put = |nth: u32| {
        let route = Changes::default().annealed_before(Operation::Bend, nth);
        let hook = PatternRequest { route, ..usual("hook-clasp") };
        let shop = Workshop::default();
        hook.form_with(&shop).unwrap().made(&Changes::default(), &shop).map(|made| {
            let at = |operation| made.steps.iter().position(|step| step.operation == operation).unwrap();
            at(Operation::Anneal) + 1 == at(Operation::Bend)
        })
    };
    assert!(put(1).unwrap());
    let refused = put(9).unwrap_err().0.remove(0);
    assert_eq!(refused.field, "route.with.0.before_n");
    assert!(refused.message.contains("has “bend” 1 time, not 9"), "{}", refused.message);
}

/// A workshop that fuses solders what does not fuse; a plan that asks for it is told why not.
#[test]
fn a_joint_is_left_as_its_metal_allows() {
    use lorimant_core::ring::RingRequest;
    use lorimant_core::tool::mandrel::Mandrel;
    use lorimant_core::tool::method::Joint;
    use lorimant_core::wire::Wire;
    use lorimant_core::wire::metal::{Metal, Temper};
    let shop =
        Workshop { methods: Methods { joint: Joint::Fuse, ..Methods::default() }, ..Workshop::default() };
    let mut rings = RingRequest::new(Wire::round(Metal::Copper, 1.0, Temper::Soft), Mandrel::round(5.0), 10);
    let does = |rings: &RingRequest| {
        let made = rings.made(&rings.methods(&shop), &Changes::default(), &shop);
        made.map(|made| made.steps.iter().map(|step| step.operation).collect::<Vec<_>>())
    };
    assert!(does(&rings).unwrap().contains(&Operation::Solder));
    rings.route.methods.joint = Some(Joint::Fuse);
    assert!(does(&rings).unwrap_err().0[0].message.contains("does not fuse to itself"));
    rings.wire.metal = Metal::FineSilver;
    assert!(does(&rings).unwrap().contains(&Operation::Fuse));
}

/// A rod that is named makes what it is named for; what nothing owned makes is told by the tool it takes, and that it is not
/// there.
#[rstest]
fn no_step_names_a_tool_that_cannot_make_it(
    #[values(0, 1, 2, 5, 12, 50)] rods_n: u32,
    #[values(true, false)] plier: bool,
) {
    let rods: Vec<Mandrel> =
        (0..rods_n).map(|i| Mandrel::round(1.3 + 17.0 * f64::from(i * 7 % 50) / 50.0)).collect();
    let pliers = if plier { bench().pliers } else { vec![] };
    let shop = Workshop { rods, pliers, ..Workshop::default() };
    for kind in Kind::all() {
        for step in made(&PatternRequest::usual(kind), &shop).steps {
            let Some((tool, tool_mm)) = step.numbers.tool.as_ref().zip(step.numbers.tool_mm) else {
                continue;
            };
            let owned = shop.rods.iter().find(|rod| rod.shown_in(LengthUnit::Mm) == *tool);
            if let Some(rod) = owned {
                let off = (rod.diameter_mm - tool_mm).abs();
                assert!(off <= 0.105_f64.max(0.035 * tool_mm), "{}: {tool} for {tool_mm}", kind.0.kind);
            } else if tool.ends_with("jaw or rod") {
                let hint = step.hint.unwrap_or_default();
                assert!(step.misfit, "{}: {tool} is not there, and that is not said", kind.0.kind);
                assert!(hint.contains("You have no") || hint.contains("No pliers or rods"), "{hint}");
            }
        }
    }
}
