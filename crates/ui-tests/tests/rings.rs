//! Planning rings as a person does: by mouse and keyboard, seeing what follows.
use anyhow::{Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use thirtyfour::prelude::*;

const SENTENCE: &str = "[data-test=sentence]";
const INSIDE: &str = "[data-figure=ring-inside] .num";

/// The first demo plan: acceptance wire, 18 AWG soft copper on 5.0, sawn 4/0: 5.0641 − 0.22/π.
async fn at_the_practice_rings(maker: &Maker) -> Result<()> {
    maker.open("/rings").await?;
    maker.sees(INSIDE, "5").await
}

/// On a machine eight times slower what opens is not to be seen for long: the focus comes to what is chosen all the same.
#[test]
fn what_is_chosen_has_the_focus_on_a_slow_machine() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        let slow = serde_json::json!({ "rate": 8 });
        maker.browser.driver.cdp().send_raw("Emulation.setCPUThrottlingRate", slow).await?;
        let focus = "return document.activeElement?.classList.contains('chosen') ?? false";
        for slot in ["metal", "temper", "cutting"] {
            maker.click(&format!("[data-slot={slot}]")).await?;
            maker
                .until(&format!("the focus on what is chosen of {slot}"), || async {
                    Ok(maker.script(focus).await?.as_bool() == Some(true))
                })
                .await?;
            maker.press(Key::Escape + "").await?;
            maker.gone("[data-test=editor]").await?;
        }
        Ok(())
    })
}

#[test]
fn a_word_is_changed_by_choosing_and_everything_follows() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.click("[data-slot=metal]").await?;
        maker.sees("[data-test=editor]", "Metal").await?;
        let drawing = maker.find("[data-test=drawing]").await?.attr("aria-label").await?;
        // The list shows what each would give before it is taken.
        let sterling = "//button[@data-test='choice'][starts-with(normalize-space(), 'sterling silver')]";
        let choice = maker.browser.driver.find(By::XPath(sterling)).await?;
        let gives = choice.text().await?;
        choice.click().await?;
        maker.sees(SENTENCE, "soft sterling silver").await?;
        let inside = maker.text(INSIDE).await?;
        ensure!(gives.contains(&format!("ring {inside} mm")), "{gives} promised, {inside} shown");
        let after = maker.find("[data-test=drawing]").await?.attr("aria-label").await?;
        ensure!(drawing != after, "the drawing follows");
        Ok(())
    })
}

#[test]
fn sizes_are_typed_as_people_write_them() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.click("[data-slot=size]").await?;
        maker.fill("[data-test=typed] input", "18 swg").await?;
        maker.sees(SENTENCE, "1.22 mm (18 SWG)").await?;
        maker.sees("[data-test=editor]", "nearest 16 AWG").await?;
        maker.fill("[data-test=typed] input", "3/64\"").await?;
        maker.sees(SENTENCE, "1.191 mm").await?;
        maker.press(Key::Enter + "").await?;
        maker.gone("[data-test=editor]").await
    })
}

#[test]
fn words_are_walked_nudged_and_replaced_by_keyboard_alone() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.script("document.querySelector('[data-slot=section]').focus()").await?;
        maker.press(Key::Tab + "").await?;
        maker.press(Key::Up + "").await?;
        maker.sees(SENTENCE, "round 1.15 mm (17 AWG)").await?;
        maker.press(Key::Down + "").await?;
        maker.sees(SENTENCE, "round 1.02 mm (18 AWG)").await?;
        // Typing replaces the word it is typed on.
        maker.press("2").await?;
        maker.find("[data-test=typed] input").await?;
        maker.press("0 awg").await?;
        maker.sees(SENTENCE, "0.81 mm (20 AWG)").await?;
        maker.press(Key::Enter + "").await?;
        maker.gone("[data-test=editor]").await?;
        // The focus is back on the word, so the next one is a Tab away.
        maker.press(Key::Tab + "").await?;
        maker.press(Key::Down + "").await?;
        maker.sees(SENTENCE, "wound in a pin vise").await
    })
}

#[test]
fn what_cannot_be_made_says_so_at_its_word_and_keeps_the_last_drawing() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.click("[data-slot=size]").await?;
        maker.fill("[data-test=typed] input", "7 mm").await?;
        maker.sees("[data-test=editor]", "thicker than the rod of 5 mm").await?;
        maker.find("[data-slot=size].faulty").await?;
        ensure!(!maker.find("[data-test=keep]").await?.is_enabled().await?, "it cannot be kept");
        maker.sees(INSIDE, "5").await?;
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=faults]").await?;
        maker.sees(SENTENCE, "1.02 mm (18 AWG)").await?;
        maker.click("[data-slot=rings]").await?;
        maker.fill("[data-test=typed] input", "lots").await?;
        maker.sees("[data-test=editor]", "not a whole number of rings").await?;
        maker.fill("[data-test=typed] input", "10000000").await?;
        maker.sees("[data-test=editor]", "from 1 to 1000000").await
    })
}

#[test]
fn backwards_from_the_ring_to_the_rods_owned() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.click("[data-slot=inside]").await?;
        maker.fill("[data-test=typed] input", "6 mm").await?;
        maker.sees("[data-test=editor]", "The ideal rod is").await?;
        maker.sees("[data-test=candidate]", "6 mm drill shank").await?;
        maker.click("[data-test=candidate]").await?;
        maker.sees(SENTENCE, "on the 6 mm drill shank").await?;
        maker.sees(INSIDE, "6").await
    })
}

#[test]
fn this_much_wire_makes_that_many_rings() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.click("[data-slot=rings]").await?;
        maker.fill("[data-test=supply] input", "1 m").await?;
        maker.sees("[data-test=editor]", "1 m makes").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-figure=wire-length]", "mm").await?;
        let used: f64 = maker.text("[data-figure=wire-length] .num").await?.parse()?;
        let each: f64 = maker.text("[data-figure=wire-per-ring] .num").await?.parse()?;
        ensure!(used <= 1000.0 && used + each > 1000.0, "{used} mm of 1 m used, {each} mm a ring");
        Ok(())
    })
}

#[test]
fn a_rod_is_taken_from_the_line_and_the_coil_let_go() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.click("[data-test=rod][title='5.5 mm drill shank']").await?;
        maker.sees(SENTENCE, "5.5 mm drill shank").await?;
        let wound = maker.find("[data-test=drawing]").await?.attr("aria-label").await?.unwrap_or_default();
        ensure!(wound.contains("wound tight on the 5.5 mm"), "{wound}");
        maker.press("]").await?;
        maker
            .until("the drawing of the coil let go", || async {
                let label = maker.find("[data-test=drawing]").await?.attr("aria-label").await?;
                Ok(label.is_some_and(|label| label.contains("sprung open")))
            })
            .await?;
        maker.click("[data-test=tempers]").await?;
        let plot = maker.find("[data-test=plot]").await?.attr("aria-label").await?.unwrap_or_default();
        ensure!(plot.contains("spring-hard: ring"), "{plot}");
        Ok(())
    })
}

#[test]
fn every_figure_opens_to_its_working() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        let faces = maker.browser.driver.find_all(By::Css("[data-figure]")).await?;
        ensure!(faces.len() >= 15, "{} figures", faces.len());
        for face in faces {
            face.click().await?;
            let key = face.attr("data-figure").await?.unwrap_or_default();
            let working = maker.text("[data-test=working]").await?;
            let lines: Vec<&str> = working.lines().filter(|line| !line.trim().is_empty()).collect();
            ensure!(lines.len() >= 9, "{key} has no full working: {working}");
            ensure!(working.contains("Assumed") && working.contains("Spread") && working.contains("Source"));
            face.click().await?;
        }
        Ok(())
    })
}

#[test]
fn the_ask_line_answers_and_points_at_what_it_does_not_know() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.press("/").await?;
        maker.press("80 rings 4 mm inside coper 20").await?;
        maker.sees("[data-test=answer]", "“coper” is read as copper.").await?;
        maker.sees("[data-test=answer]", "80 rings of").await?;
        // A quantity that is not used holds the answer back, and is pointed at.
        maker.fill("[data-test=ask]", "80 rings 4 mm inside copper 20 ga 7 mm").await?;
        maker.sees("[data-test=answer] mark", "7 mm").await?;
        maker.gone("[data-test=use-answer]").await?;
        maker.fill("[data-test=ask]", "80 rings 4 mm inside brass 20 half-hard").await?;
        maker.sees("[data-test=answer]", "80 rings of").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(SENTENCE, "80 rings of half-hard brass, round 0.81 mm (20 AWG)").await?;
        maker.fill("[data-test=ask]", "2 1/4 in").await?;
        maker.sees("[data-test=answer]", "57.15 mm = 2.25 in").await
    })
}

#[test]
fn the_ask_line_opens_what_is_answered_elsewhere() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.fill("[data-test=ask]", "which wire for 24 pairs hooks 20 ga sterling").await?;
        maker.click("[data-test=use-answer]").await?;
        maker.sees("[data-test=piece] option:checked", "Ear wires, sterling silver 0.81 mm").await?;
        maker.fill("[data-test=ask]", "cost of 50 eye pins 24 ga copper").await?;
        maker.click("[data-test=use-answer]").await?;
        maker.sees("[data-test=piece] option:checked", "Eye pins, copper 0.51 mm").await?;
        maker.fill("[data-test=ask]", "what can i make from 1 m of 20 ga sterling half-hard").await?;
        maker.sees("[data-test=makes]", "figure eights").await?;
        maker.click("[data-test=makes] li:last-child button").await?;
        maker.find("[data-test=sentence]").await.map(|_| ())
    })
}

#[test]
fn inches_come_first_when_asked_for() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.click("[data-test=settings]").await?;
        maker.click("[data-choice=inch]").await?;
        maker.press(Key::Escape + "").await?;
        maker.sees(INSIDE, "0.20").await?;
        maker.sees("[data-figure=ring-inside]", "5 mm").await?;
        maker.browser.driver.refresh().await?;
        maker.sees(INSIDE, "0.20").await
    })
}

#[test]
fn a_matched_screen_shows_true_size() -> Result<()> {
    at_the_bench(|maker| async move {
        at_the_practice_rings(maker).await?;
        maker.click("[data-test=settings]").await?;
        maker.click("[data-test=match-screen]").await?;
        maker.click("[data-test=keep-match]").await?;
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=match-screen]").await?;
        maker.click("[data-test=true-size]").await?;
        // Matched at 96 pixels an inch, the ring's length in the strip is that many millimetres long.
        let millimetres =
            maker.script("return parseFloat(document.querySelector('.strip text').textContent)").await?;
        let expected = millimetres.as_f64().unwrap_or(0.0) * 96.0 / 25.4;
        ensure!(expected > 60.0, "{millimetres}");
        let script = "return document.querySelector('.strip rect').getBoundingClientRect().width";
        maker
            .until("the strip at true size", || async {
                let pixels = maker.script(script).await?.as_f64().unwrap_or(0.0);
                Ok((pixels - expected).abs() < 0.5)
            })
            .await
    })
}
