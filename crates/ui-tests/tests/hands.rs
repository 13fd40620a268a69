//! The newcomer's jobs by keyboard alone, and on a telephone: no mouse, no wide screen.
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
        maker.open("/saved").await?;
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
        maker.open("/wire").await?;
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
        maker.press("180 g").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=weighed]", "180 g").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=notice]", "Stock corrected to the scale").await?;
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
        maker.sees("[data-test=answer]", "24 pairs of ear wires").await?;
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
        maker.is_accessible().await?;
        // What one needs at the bench stands first, as a ruler reads it and as its step says it.
        maker.open("/findings/piece?kind=hook-clasp").await?;
        maker.sees("main", "28 mm and 45.5 mm from the left end").await?;
        maker.sees("[data-test=bench]", "28 mm, 45.5 mm").await
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

/// A newcomer's job on a telephone: what is done one after another, none of it in more than three actions.
struct Job {
    maker: &'static Maker,
    actions: u32,
}

impl Job {
    async fn on_a_telephone(maker: &'static Maker, path: &str) -> Result<Self> {
        maker.browser.resize(390, 844).await?;
        maker.open(path).await?;
        Ok(Self { maker, actions: 0 })
    }

    async fn tap(&mut self, css: &str) -> Result<()> {
        self.actions += 1;
        self.maker.click(css).await
    }

    async fn write(&mut self, css: &str, text: &str) -> Result<()> {
        self.actions += 1;
        self.maker.fill(css, text).await
    }

    /// What was to be seen of it, and nothing of the view beyond the screen's edge.
    async fn done(&mut self, css: &str, words: &str) -> Result<()> {
        self.maker.sees(css, words).await?;
        ensure!(self.actions <= 3, "{} actions until “{words}”", self.actions);
        self.actions = 0;
        let wide = self.maker.script("return document.documentElement.scrollWidth").await?;
        ensure!(wide.as_u64().is_some_and(|wide| wide <= 390), "{wide} px wide at “{words}”");
        Ok(())
    }
}

#[test]
fn a_ring_is_planned_kept_and_printed_on_a_telephone() -> Result<()> {
    at_the_bench(|maker| async move {
        let mut job = Job::on_a_telephone(maker, "/rings").await?;
        maker.sees(SENTENCE, "rings").await?;
        job.write("[data-test=ask]", "80 rings 4 mm inside brass 18 awg").await?;
        maker.sees("[data-test=answer]", "80 rings of").await?;
        job.tap("[data-test=use-answer]").await?;
        job.done(SENTENCE, "80 rings of soft brass").await?;
        job.tap("[data-test=keep]").await?;
        job.write("[data-test=plan-name] input", "Gondola rail").await?;
        job.tap("[data-test=keep-confirm]").await?;
        job.done("[data-test=kept-as]", "Gondola rail").await?;
        job.tap("[data-test=take-away]").await?;
        job.tap("[data-file='cut-sheet.pdf']").await?;
        ensure!(maker.saved("cut-sheet.pdf").await?.starts_with(b"%PDF"), "no PDF");
        job.done("[data-test=kept-as]", "Gondola rail").await
    })
}

#[test]
fn a_lot_is_found_weighed_and_put_right_on_a_telephone() -> Result<()> {
    at_the_bench(|maker| async move {
        let mut job = Job::on_a_telephone(maker, "/wire").await?;
        maker.find("[data-test=lots] .lot").await?;
        job.write("[data-test=find-lot] input", "Blue spool").await?;
        maker.until("one lot", || async { Ok(maker.count("[data-test=lot]").await? == 1) }).await?;
        job.tap("[data-test=open-lot]").await?;
        job.done("[data-test=lot-panel]", "Blue spool").await?;
        job.tap("[data-test=do-weigh]").await?;
        job.write("[data-test=weight] input", "100 g").await?;
        job.done("[data-test=weighed]", "100 g").await?;
        inside(maker, "[data-test=lot-panel]").await?;
        job.tap("[data-test=book-weight]").await?;
        job.done("[data-test=notice]", "Stock corrected to the scale").await
    })
}

#[test]
fn three_things_are_picked_cut_booked_and_undone_on_a_telephone() -> Result<()> {
    at_the_bench(|maker| async move {
        let mut job = Job::on_a_telephone(maker, "/wire/cutting-plan").await?;
        maker.find("[data-test=picks] li").await?;
        for name in ["Lantern bearers, oval links", "Lake Queen, long ear wires", "Gift stall, cord ends"] {
            job.actions += 1;
            maker.choose("[data-test=piece]", name).await?;
            job.tap("[data-test=pick-it]").await?;
            job.done("[data-test=picks]", name).await?;
        }
        maker.find("[data-test=strip]").await?;
        let picked = maker.text("[data-test=picks]").await?;
        job.tap("[data-test=tick-all]").await?;
        job.tap("[data-test=book-cuts]").await?;
        job.done("[data-test=notice]", "Booked").await?;
        maker.until("fewer picks", || async { Ok(maker.text("[data-test=picks]").await? != picked) }).await?;
        job.tap("[data-test=undo-notice]").await?;
        job.done("[data-test=notice]", "Undone").await?;
        maker
            .until("the picks again", || async { Ok(maker.text("[data-test=picks]").await? == picked) })
            .await
    })
}

#[test]
fn something_is_picked_cut_and_booked_by_keyboard_alone() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire/cutting-plan").await?;
        maker.find("[data-test=picks] li").await?;
        maker.find("[data-test=strip]").await?;
        tab_to(maker, "[data-test=piece]", 40).await?;
        maker.press("Lantern").await?;
        tab_to(maker, "[data-test=pick-it]", 2).await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=picks]", "Lantern bearers").await?;
        let picked = maker.text("[data-test=picks]").await?;
        tab_to(maker, "[data-test=tick-all]", 40).await?;
        maker.press(Key::Enter + "").await?;
        maker
            .until("something ticked", || async {
                Ok(maker.count("[data-test=tick] input:checked").await? > 0)
            })
            .await?;
        maker.press(Key::Shift + Key::Tab).await?;
        ensure!(has_focus(maker, "[data-test=book-cuts]").await?, "booking is not beside ticking");
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=notice]", "Booked").await?;
        maker.until("fewer picks", || async { Ok(maker.text("[data-test=picks]").await? != picked) }).await
    })
}
