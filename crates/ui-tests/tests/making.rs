//! A piece led through its making: step by step, changed for one plan, by the workshop's methods.
use anyhow::{Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use thirtyfour::prelude::*;

const STEPS: &str = "[data-test=steps]";
const RING: &str = "[data-figure=ring-inside] .num";

async fn current(maker: &Maker) -> Result<String> {
    maker.text("[data-test=steps] li.now").await
}

/// A ring from straightening to shutting, with the bracket keys.
#[test]
fn a_ring_is_led_through_its_making_by_keyboard() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(RING, "5").await?;
        maker.click("[data-test=making]").await?;
        maker.sees(STEPS, "turns on the 5 mm drill shank").await?;
        ensure!(current(maker).await?.contains(
            "Run the wire through your fingers or a cloth until it is straight, still on the spool"
        ));
        for (n, says) in [
            (2, "Bend 12 mm"),
            (3, "Wind"),
            (4, "spring open"),
            (
                5,
                "Put the coil in the notch of the bench pin with a dowel inside, so it doesn't rock. Saw along it from outside",
            ),
        ] {
            maker.press("]").await?;
            maker
                .until(says, || async {
                    let now = current(maker).await?;
                    Ok(now.starts_with(&n.to_string()) && now.contains(says))
                })
                .await?;
        }
        // Its caution stands where the step is.
        maker.sees(STEPS, "a trapped blade snaps and flies").await?;
        maker.press("]").await?;
        maker.sees("[data-test=steps] li.now", "Close each ring sideways. Swing the ends past each other, push them together a little, and let them spring back face to face. Never pull them apart").await?;
        maker.is_accessible().await
    })
}

/// Put in, taken out, and back by undo; every figure follows.
#[test]
fn the_making_of_one_plan_is_changed_and_taken_back() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(RING, "5").await?;
        let offer = async |words: &str| {
            maker.click("[data-test=route-menu]").await?;
            maker.sees("[data-test=route-offers]", words).await?;
            let xpath = format!("//*[@data-test='route-offer'][contains(., '{words}')]");
            maker.browser.driver.find(By::XPath(&xpath)).await?.click().await?;
            maker.gone("[data-test=route-offers]").await
        };
        // Pulled straight, a soft coil springs further.
        offer("ull the wire straight 10 times").await?;
        maker.sees("[data-test=sentence]", "pulled straight 10 times").await?;
        maker.sees(RING, "5").await?;
        // Hammered, it grows.
        offer("ammer each ring to").await?;
        maker.sees("[data-test=sentence]", "hammered to 0.8 mm").await?;
        maker.sees(RING, "5.3").await?;
        maker.click("[data-test=making]").await?;
        maker.sees(STEPS, "Pull the wire 10 times").await?;
        maker.sees(STEPS, "Hammer it to 0.8 mm on the polished block").await?;
        // Copper does not fuse, and says so.
        maker.click("[data-test=route-menu]").await?;
        maker.sees("[data-test=route-offers]", "copper does not fuse to itself").await?;
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=route-offers]").await?;
        maker.press(Key::Control + "z").await?;
        maker.press(Key::Control + "z").await?;
        maker.click("[data-test=wound]").await?;
        maker.sees(RING, "5").await
    })
}

/// A ring of a wished size that will be hammered: the rod that ends there.
#[test]
fn a_hammered_ring_is_planned_backwards() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(RING, "5").await?;
        maker.click("[data-test=route-menu]").await?;
        maker.sees("[data-test=route-offers]", "ammer each ring to").await?;
        let xpath = "//*[@data-test='route-offer'][contains(., 'ammer each ring')]";
        maker.browser.driver.find(By::XPath(xpath)).await?.click().await?;
        maker.sees("[data-test=sentence]", "hammered to").await?;
        maker.click("[data-slot=inside]").await?;
        maker.fill("[data-test=typed] input", "4.8 mm").await?;
        // A smaller rod than the 5 mm one gives it.
        maker.sees("[data-test=sentence]", "hammered to 0.8 mm: 4.7 mm inside").await?;
        ensure!(!maker.text("[data-test=sentence]").await?.contains(" 5 mm drill shank"));
        maker.press(Key::Enter + "").await?;
        maker.sees(RING, "4.7").await
    })
}

/// A finding by touch on a phone: its steps, an anneal put in, a method changed for all.
#[test]
fn a_finding_is_led_by_touch_and_a_method_changes_its_route() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.browser.resize(390, 844).await?;
        maker.open("/findings/piece?kind=figure-eight").await?;
        maker.sees(STEPS, "Right end level with the jaw: roll the second loop").await?;
        maker.click("[data-test=steps] li:nth-child(5) button").await?;
        maker.sees("[data-test=steps] li.now", "Turn the wire end for end").await?;
        // The step in hand is changed where it stands.
        maker.click("[data-test=change-step]").await?;
        maker.sees("[data-test=steps] .change", "nneal before").await?;
        maker.click("[data-test=steps] [data-test=route-offer]").await?;
        maker.sees(STEPS, "Heat it evenly").await?;
        // The ruler lies on from the end in hand, and the temper is seen where it is.
        maker.sees("[data-test=foot], body", "the ruler from its").await?;
        maker.click("[data-test=show-temper]").await?;
        maker.sees("[data-test=temper-legend]", "How much of what the metal can take is used after this step. Over 60 %, anneal or bend wider; at 100 %, expect cracks. Estimates").await?;
        maker.sees(".spent-text", "%").await?;
        maker.click("[data-test=show-front]").await?;
        // A method for this plan alone.
        maker.click("[data-test=route-menu]").await?;
        maker.sees("[data-test=route-offers]", "Which way does the flat side of the cutter face?").await?;
        let group = "//*[@data-test='route-group'][contains(., 'Which way does the flat')]";
        maker.browser.driver.find(By::XPath(group)).await?.click().await?;
        let spool = "//*[@data-test='route-offer'][contains(., 'flat side of the cutter towards the spool')]";
        maker.sees("[data-test=route-offers]", "lat side of the cutter towards the spool").await?;
        maker.browser.driver.find(By::XPath(spool)).await?.click().await?;
        maker.sees(STEPS, "flush at the mark").await?;
        // And for the whole workshop.
        maker.open("/tools").await?;
        maker.click("[data-test=method-flat_to-spool] input").await?;
        maker.sees("[data-test=notice]", "Noted").await?;
        maker.open("/findings/piece?kind=s-link").await?;
        maker.sees(STEPS, "flush at the mark").await?;
        // What stands on the bench is listed where the tools are.
        maker.open("/tools").await?;
        maker.click("[data-test=edit-gear]").await?;
        maker.sees("[data-test=keep-gear]", "Save").await?;
        maker.click("[data-test=gear-torch] input").await?;
        maker.click("[data-test=keep-gear]").await?;
        maker.sees("[data-test=gear]", "none").await?;
        maker.open("/findings/piece?kind=balled-head-pin").await?;
        maker.sees("body", "no torch is listed under Tools").await
    })
}
