//! Remakes `docs/screenshots` from the demo workshop, at 1280 × 800.

use anyhow::Result;
use lorimant_ui_tests::{Maker, at_the_bench};
use thirtyfour::prelude::*;

fn main() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.browser.prefer("light").await?;
        from_order_to_bag(maker).await?;
        maker.open("/rings").await?;
        maker.find("[data-test=figures]").await?;
        picture(maker, "rings").await?;
        maker.open("/chains").await?;
        maker.sees("[data-test=sentence]", "Byzantine").await?;
        picture(maker, "chains").await?;
        for (path, there, name) in [
            ("/saved", "[data-test=plans]", "saved"),
            ("/tools", "[data-test=rods]", "tools"),
            ("/reference", "[data-test=metals]", "reference"),
        ] {
            maker.open(path).await?;
            maker.find(there).await?;
            picture(maker, name).await?;
        }
        maker.open("/findings").await?;
        maker.find("[data-test=ready] svg").await?;
        picture(maker, "findings").await?;
        maker.open("/findings/piece?kind=open-ear-wire").await?;
        maker.find("[data-dimension=crown_mm]").await?;
        picture(maker, "finding").await?;
        maker.open("/measure/springback?lot=62").await?;
        maker.find("[data-test=lot-plot] canvas").await?;
        picture(maker, "springback").await?;
        maker.open("/measure").await?;
        maker.click("[data-test=checks] [data-test=open-check]").await?;
        maker.click("[data-test=measure-front_mm]").await?;
        maker.click("[data-test=read-caliper]").await?;
        maker.sees("[data-test=came]", "mm").await?;
        maker.click("[data-test=measure-crown_mm]").await?;
        maker.script("scrollTo(0, 0)").await?;
        picture(maker, "measurement").await?;
        maker.open("/wire").await?;
        maker.find("[data-test=lots] .lot").await?;
        picture(maker, "wire-stock").await?;
        maker.open("/wire/choose").await?;
        maker.choose("[data-test=piece]", "Water sprites, ear wires").await?;
        maker.find("[data-test=hold-plot] canvas").await?;
        for nth in [1, 3, 4] {
            maker.click(&format!("[data-test=candidates] li:nth-child({nth}) [data-test=compare]")).await?;
        }
        maker.find("[data-test=compared]").await?;
        maker.script("scrollTo(0, 0)").await?;
        picture(maker, "choose-wire").await?;
        maker.open("/wire/cutting-plan").await?;
        maker.find("[data-test=strip] svg").await?;
        maker.gone("[data-test=working]").await?;
        picture(maker, "cutting-plan").await?;
        maker.open("/wire/cost").await?;
        maker.fill("[data-test=cost-minutes] input", "4").await?;
        maker.fill("[data-test=cost-setting_up_minutes] input", "20").await?;
        maker.fill("[data-test=cost-bought] input", "5.60").await?;
        maker.sees("[data-test=verdict]", "Making pays").await?;
        picture(maker, "cost").await?;
        maker.open("/bench").await?;
        maker.choose("[data-test=piece]", "Lake Queen, long ear wires").await?;
        maker.fill("[data-test=how-many]", "6").await?;
        maker.press(Key::Enter + "").await?;
        at_the_loop(maker).await?;
        picture(maker, "bench").await?;
        maker.browser.resize(390, 844).await?;
        maker.open("/rings").await?;
        maker.fill("[data-test=ask]", "how many rings 5 mm inside copper 18 awg from 2 m").await?;
        maker.sees("[data-test=answer]", "2 m makes").await?;
        picture(maker, "ask-phone").await
    })
}

/// An order begun, made and bagged, with the views it goes through.
async fn from_order_to_bag(maker: &Maker) -> Result<()> {
    maker.open("/orders").await?;
    maker.click("[data-test=begin-line]").await?;
    maker.find("[data-test=press]").await?;
    maker.open("/bench").await?;
    maker.choose("[data-test=piece]", "Lake Queen, long ear wires").await?;
    maker.fill("[data-test=how-many]", "1").await?;
    maker.press(Key::Enter + "").await?;
    maker.find("[data-test=press]").await?;
    maker.makes_all(|| async { maker.press(" ").await }).await?;
    maker.fill("[data-test=place]", "drawer 7").await?;
    maker.click("[data-test=fill-bag]").await?;
    maker.find("[data-test=recipe]").await?;
    for (path, there, name) in [
        ("/today", "[data-test=next-session]", "today"),
        ("/orders", "[data-test=orders]", "orders"),
        ("/orders/schedule", "[data-test=sessions]", "schedule"),
        ("/orders/stock", "[data-test=bags] svg", "finished-stock"),
    ] {
        maker.open(path).await?;
        maker.find(there).await?;
        picture(maker, name).await?;
    }
    Ok(())
}

/// Presses on to the loop of a batch and makes a few of them.
async fn at_the_loop(maker: &Maker) -> Result<()> {
    maker.find("[data-test=press]").await?;
    maker
        .until("the loop", || async {
            if maker.text("[data-test=instruction]").await?.contains("roll the loop") {
                return Ok(true);
            }
            maker.press(" ").await?;
            Ok(false)
        })
        .await?;
    for n in 1..=5 {
        maker.press(" ").await?;
        maker.sees("[data-test=count]", &format!("{n} of 12")).await?;
    }
    // What was said of beginning it is read by then.
    maker.gone("[data-test=notice]").await
}

async fn picture(maker: &Maker, name: &str) -> Result<()> {
    let script = "const done = arguments[0]; document.fonts.ready.then(() =>
        requestAnimationFrame(() => requestAnimationFrame(() => done(true))))";
    maker.browser.driver.execute_async(script, vec![]).await?;
    // What fades in is there.
    let moving = "return document.getAnimations().filter((one) => one.playState === 'running').length";
    maker.until("nothing moves", || async { Ok(maker.script(moving).await?.as_u64() == Some(0)) }).await?;
    let folder = concat!(env!("CARGO_MANIFEST_DIR"), "/../../docs/screenshots");
    let path = std::path::Path::new(folder).join(format!("{name}.png"));
    maker.browser.driver.screenshot(&path).await?;
    Ok(())
}
