//! The newcomer's jobs by keyboard alone, and on a telephone: no mouse, no wide screen.
#![allow(missing_docs)]

use anyhow::{Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use thirtyfour::prelude::*;

const SENTENCE: &str = "[data-test=sentence]";

/// Presses Tab until what a selector finds has the focus; at most so many stops.
async fn tab_to(maker: &Maker, css: &str, most: usize) -> Result<()> {
    for _ in 0..most {
        maker.press(Key::Tab + "").await?;
        if has_focus(maker, css).await? {
            return Ok(());
        }
    }
    anyhow::bail!("{css} is more than {most} stops away")
}

async fn has_focus(maker: &Maker, css: &str) -> Result<bool> {
    let script = format!("return !!document.activeElement?.closest({})", serde_json::json!(css));
    Ok(maker.script(&script).await?.as_bool() == Some(true))
}

#[test]
fn a_ring_is_asked_for_changed_kept_and_found_by_keyboard_alone() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "rings").await?;
        maker.press("/").await?;
        maker.until("the ask line", || has_focus(maker, "[data-test=ask]")).await?;
        maker.press("80 rings 4 mm inside brass 18 awg").await?;
        maker.sees("[data-test=answer]", "80 rings of").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(SENTENCE, "80 rings of soft brass").await?;
        maker.press(Key::Control + "s").await?;
        maker.until("the name", || has_focus(maker, "[data-test=plan-name]")).await?;
        maker.press("Gondola rail").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=kept-as]", "Gondola rail").await?;
        maker.open("/kept").await?;
        maker.find("[data-test=plans] .plan").await?;
        tab_to(maker, "[data-test=find]", 20).await?;
        maker.press("gondola").await?;
        maker.until("one plan", || async { Ok(maker.count("[data-test=plans] .plan").await? == 1) }).await?;
        tab_to(maker, "[data-test=open-plan]", 8).await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(SENTENCE, "80 rings of soft brass").await
    })
}

#[test]
fn a_lot_is_found_weighed_and_put_right_by_keyboard_alone() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rack").await?;
        maker.find("[data-test=lots] .lot").await?;
        tab_to(maker, "[data-test=find-lot]", 24).await?;
        maker.press("Blue spool").await?;
        maker.until("one lot", || async { Ok(maker.count("[data-test=lot]").await? == 1) }).await?;
        tab_to(maker, "[data-test=open-lot]", 24).await?;
        maker.press(Key::Enter + "").await?;
        maker.find("[data-test=lot-panel]").await?;
        tab_to(maker, "[data-test=do-weigh]", 6).await?;
        maker.press(Key::Enter + "").await?;
        maker.until("the weight", || has_focus(maker, "[data-test=weight]")).await?;
        maker.press("100 g").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=weighed]", "100 g").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=notice]", "what the scale said").await?;
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=lot-panel]").await?;
        // The focus is back where the lot was opened.
        ensure!(has_focus(maker, "[data-test=open-lot]").await?, "the focus is lost");
        Ok(())
    })
}

#[test]
fn the_ask_line_and_a_plan_are_used_on_a_telephone() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.browser.resize(390, 844).await?;
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "rings").await?;
        maker.fill("[data-test=ask]", "24 pairs hooks 21 ga sterling").await?;
        maker.sees("[data-test=answer]", "24 pairs of open hooks").await?;
        inside(maker, "[data-test=answer]").await?;
        maker.press(Key::Escape + "").await?;
        maker.click("[data-slot=rings]").await?;
        let editor = "[data-test=editor]";
        inside(maker, editor).await?;
        maker.fill("[data-test=typed] input", "45").await?;
        maker.sees(SENTENCE, "45 rings").await?;
        inside(maker, editor).await?;
        maker.press(Key::Enter + "").await?;
        maker.gone(editor).await?;
        maker.click("[data-test=keep]").await?;
        maker.find("[data-test=plan-name] input").await?;
        inside(maker, "[data-test=plan-name]").await?;
        maker.is_accessible().await
    })
}

/// What a selector finds lies on the screen from edge to edge.
async fn inside(maker: &Maker, css: &str) -> Result<()> {
    let script = format!(
        "const box = document.querySelector({}).getBoundingClientRect();\
         return [box.left, innerWidth - box.right, box.width]",
        serde_json::json!(css)
    );
    maker
        .until(&format!("{css} inside the screen"), || {
            let script = script.clone();
            async move {
                let box_ = maker.script(&script).await?;
                let at = |i: usize| box_[i].as_f64().unwrap_or(-1.0);
                Ok(at(0) >= -0.5 && at(1) >= -0.5 && at(2) > 0.0)
            }
        })
        .await
}
