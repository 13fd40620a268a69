//! The library and the drawing room as a person uses them: by mouse and by keyboard.
use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use thirtyfour::prelude::*;

const SENTENCE: &str = "[data-test=sentence]";
const BLANK: &str = "[data-figure=blank] .num";

/// An ear wire as usually made: developed 44.37, 0.12 filed off its tip, so 44.5 on the ruler.
async fn at_an_open_hook(maker: &Maker) -> Result<()> {
    maker.open("/findings/piece?kind=open-ear-wire").await?;
    maker.sees(BLANK, "44.5").await
}

async fn drawn(maker: &Maker) -> Result<String> {
    Ok(maker.find("[data-test=drawing]").await?.attr("aria-label").await?.unwrap_or_default())
}

#[test]
fn from_the_library_to_the_cut_in_one_click() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/findings").await?;
        maker.sees("[data-kind=open-ear-wire]", "cut 44.5 mm, mark at 17, 40.5").await?;
        ensure!(maker.count("[data-test=ready] svg path").await? > 100, "drawn from real geometry");
        maker.click("[data-kind=open-ear-wire]").await?;
        maker.sees(BLANK, "44.5").await?;
        maker
            .sees(
                "[data-test=steps]",
                "Left end level with the jaw: roll the loop to the left on the slim round-nose, 5 mm from the tip.",
            )
            .await?;
        let strip = maker.find("[data-test=strip]").await?.attr("aria-label").await?.unwrap_or_default();
        ensure!(strip.contains("crown 17 mm from the left end"), "{strip}");
        Ok(())
    })
}

#[test]
fn a_word_is_changed_and_everything_follows() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        let before = drawn(maker).await?;
        maker.click("[data-slot=front_mm]").await?;
        maker.sees("[data-test=editor]", "Straight front leg").await?;
        maker.fill("[data-test=typed] input", "3/4 in").await?;
        maker.sees(SENTENCE, "front 19.05 mm").await?;
        // 10.05 mm longer: 54.54 exact.
        maker.sees(BLANK, "55").await?;
        ensure!(drawn(maker).await? != before, "the drawing follows");
        maker.press(Key::Enter + "").await?;
        maker.gone("[data-test=editor]").await?;
        maker.click("[data-test=undo]").await?;
        maker.sees(SENTENCE, "front 9 mm").await?;
        maker.script("document.querySelector('[data-slot=crown_mm]').focus()").await?;
        maker.press(Key::Up + "").await?;
        maker.sees(SENTENCE, "crown 8.1 mm").await
    })
}

#[test]
fn what_cannot_be_made_keeps_the_last_shape_and_says_why() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        let before = drawn(maker).await?;
        maker.click("[data-slot=tip_mm]").await?;
        maker.fill("[data-test=typed] input", "25 mm").await?;
        maker.sees("[data-test=editor]", "The back would be negative").await?;
        maker.fill("[data-test=typed] input", "-3").await?;
        maker.sees("[data-test=editor]", "negative").await?;
        ensure!(drawn(maker).await? == before, "the drawing stays");
        ensure!(!maker.find("[data-test=keep]").await?.is_enabled().await?, "it cannot be kept");
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=faults]").await?;
        ensure!(maker.find("[data-test=keep]").await?.is_enabled().await?, "it can be kept as it was");
        Ok(())
    })
}

#[test]
fn a_dimension_is_dragged_by_mouse_as_one_step_of_undo() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        let handle = maker.find("[data-dimension=back_mm] .hit").await?;
        let chain = maker.browser.driver.action_chain();
        let chain = chain.move_to_element_with_offset(&handle, 0, 30).click_and_hold();
        chain.move_by_offset(0, 20).move_by_offset(0, 22).release().perform().await?;
        maker
            .until("a longer back", || async { Ok(!maker.text(SENTENCE).await?.contains("back 13 mm")) })
            .await?;
        let blank: f64 = maker.text(BLANK).await?.parse()?;
        ensure!(blank > 44.5, "{blank}");
        maker.press(Key::Control + "z").await?;
        maker.sees(SENTENCE, "back 13 mm").await?;
        maker.sees(BLANK, "44.5").await
    })
}

#[test]
fn a_dimension_is_typed_into_where_it_stands() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        maker.click("[data-dimension=crown_mm] text").await?;
        maker.sees("[data-test=editor]", "Inside of the bend that sits in the ear").await?;
        maker.fill("[data-test=typed] input", "8").await?;
        maker.sees(SENTENCE, "crown 8 mm").await?;
        maker.press(Key::Enter + "").await?;
        maker.gone("[data-test=editor]").await?;
        // By keyboard alone.
        maker.script("document.querySelector('[data-dimension=loop_mm]').focus()").await?;
        maker.press(Key::Enter + "").await?;
        maker.fill("[data-test=typed] input", "3/32 in").await?;
        maker.sees(SENTENCE, "loop 2.381 mm").await
    })
}

#[test]
fn forming_is_stepped_through_by_keys_dots_and_slider() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        let label = |words: &'static str| async move {
            maker.until(words, || async { Ok(drawn(maker).await?.contains(words)) }).await
        };
        label("from the front").await?;
        for _ in 0..4 {
            maker.press("[").await?;
        }
        label("after bend: crown").await?;
        maker.find("[data-zone='2'].lit").await?;
        maker.press("]").await?;
        label("after kick: tip").await?;
        maker.click("[data-step='1']").await?;
        label("after straighten: wire").await?;
        let slider = maker.find("[data-test=slider]").await?;
        slider.send_keys(Key::Right + "").await?;
        label("after flush: end").await?;
        let value = slider.attr("aria-valuetext").await?.unwrap_or_default();
        ensure!(value.starts_with("step 2 of 10"), "{value}");
        Ok(())
    })
}

#[test]
fn drawing_and_strip_light_each_other() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        let zone = maker.find("[data-zone='2'] .bend").await?;
        maker.browser.driver.action_chain().move_to_element_center(&zone).perform().await?;
        maker.find("[data-test=lit]").await?;
        let crown = maker.find("[data-segment='2']").await?;
        let (x, y) = {
            let place = crown.rect().await?;
            (place.x + place.width / 2.0, place.y + 3.0)
        };
        #[expect(clippy::cast_possible_truncation, reason = "pixels")]
        maker.browser.driver.action_chain().move_to(5, 300).move_to(x as i64, y as i64).perform().await?;
        maker.find("[data-zone='2'].lit").await?;
        Ok(())
    })
}

#[test]
fn a_pattern_is_kept_revised_compared_and_brought_back() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        maker.press(Key::Control + "s").await?;
        maker.fill("[data-test=plan-name] input", "Chorus drops").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.sees("[data-test=kept-as]", "Chorus drops").await?;
        maker.click("[data-slot=front_mm]").await?;
        maker.fill("[data-test=typed] input", "15").await?;
        maker.sees(SENTENCE, "front 15 mm").await?;
        maker.press(Key::Enter + "").await?;
        maker.gone("[data-test=editor]").await?;
        maker.press(Key::Control + "s").await?;
        maker.sees("[data-test=keep-confirm]", "Save changes").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.gone("[data-test=keep-confirm]").await?;
        maker.browser.driver.refresh().await?;
        maker.sees(SENTENCE, "front 15 mm").await?;
        maker.click("[data-test=try]").await?;
        maker.click("[data-test=open-over]").await?;
        maker
            .until("two revisions", || async { Ok(maker.count("[data-test=revision]").await? == 2) })
            .await?;
        maker.click("[data-test=revision] ~ [data-test=revision] .menu-line").await?;
        maker.sees("[data-test=compared]", "front 15 mm here, 9 mm there").await?;
        maker.find("[data-test=over]").await?;
        maker.click("[data-test=take-off]").await?;
        maker.gone("[data-test=over]").await?;
        maker.click("[data-test=try]").await?;
        maker.click("[data-test=open-over]").await?;
        maker.click("[data-test=revision] ~ [data-test=revision] [data-test=bring-back]").await?;
        maker.sees(SENTENCE, "front 9 mm").await?;
        maker.open("/saved").await?;
        maker.sees("[data-test=plans]", "Chorus drops").await
    })
}

#[test]
fn patterns_are_found_and_filtered() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/findings").await?;
        maker.find("[data-kind=s-clasp]").await?;
        let ready = || async { maker.count("[data-test=ready] .cell").await };
        maker.picks("[data-test=filter-kind]", "clasps").await?;
        maker.gone("[data-kind=eye-pin]").await?;
        ensure!(ready().await? == 4, "four clasps");
        maker.fill("[data-test=find] input", "spiral").await?;
        maker.until("the spiral hook alone", || async { Ok(ready().await? == 1) }).await?;
        maker.fill("[data-test=find] input", "zzz").await?;
        maker.sees("[data-test=none-ready]", "No finding matches. Try another word, kind or wire").await
    })
}

#[test]
fn files_are_taken_away_and_brought_back_in() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        for (file, ending, starts) in [
            ("card-a5.pdf", "ear-wire.card-a5.pdf", "%PDF"),
            ("drawing.dxf", "ear-wire.drawing.dxf", "  0\r\nSECTION"),
            ("bends.csv", "ear-wire.bends.csv", "forming_n,what"),
            ("pattern.json", "ear-wire.pattern.json", "{"),
        ] {
            maker.click("[data-test=take-away]").await?;
            maker.click(&format!("[data-file='{file}']")).await?;
            let bytes = maker.saved(ending).await?;
            ensure!(bytes.starts_with(starts.as_bytes()), "{file}: {:?}", bytes.get(..20));
        }
        maker.open("/saved").await?;
        maker.find("[data-test=plans]").await?;
        let path = maker.browser.downloads().join("ear-wire.pattern.json");
        let chooser = maker.browser.driver.find(By::Css("[data-test=import-file]")).await?;
        chooser.send_keys(path.to_str().context("no path")?).await?;
        maker.sees("[data-test=plans]", "ear wire").await?;
        let broken = maker.browser.downloads().join("broken.json");
        let text = std::fs::read_to_string(&path)?.replace("\"open-ear-wire\"", "\"closed-ear-wire\"");
        std::fs::write(&broken, text)?;
        chooser.send_keys(broken.to_str().context("no path")?).await?;
        maker.sees("[data-test=import-faults]", "patterns[0].request.kind").await
    })
}

#[test]
fn it_is_tried_at_a_size_in_another_wire_mirrored_and_with_a_ring() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        let act = |item: &'static str| async move {
            maker.click("[data-test=try]").await?;
            maker.click(item).await
        };
        act("[data-test=open-fit]").await?;
        maker.fill("[data-test=fit-height] input", "1 mm").await?;
        maker.click("[data-test=fit]").await?;
        maker.sees("[data-test=fit-height]", "cannot be reached").await?;
        maker.fill("[data-test=fit-height] input", "").await?;
        maker.fill("[data-test=fit-cut_mm] input", "60 mm").await?;
        maker.click("[data-test=fit]").await?;
        maker.sees(BLANK, "60").await?;
        act("[data-test=open-wire]").await?;
        maker.sees("[data-test=differences]", "The dimensions stay").await?;
        maker.click("[data-test=use-wire]").await?;
        maker.sees(SENTENCE, "half-hard copper").await?;
        maker
            .sees(
                "[data-test=checks]",
                "in the ear; others use it only for practice. Never in a fresh piercing. Some skins react",
            )
            .await?;
        act("[data-test=mirror]").await?;
        maker.sees(SENTENCE, "mirrored").await?;
        act("[data-test=open-mate]").await?;
        maker.fill("[data-test=mate-typed] input", "wobbly").await?;
        maker.sees("[data-test=mate-typed]", "not a word this line knows").await?;
        maker.fill("[data-test=mate-typed] input", "6 mm ring of 18 ga").await?;
        maker.sees("[data-test=fits]", "Fits.").await?;
        maker.click("[data-test=mate]").await?;
        maker.sees("[data-test=fits]", "it").await
    })
}

#[test]
fn a_pattern_is_marked_for_the_pliers_chosen() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/tools").await?;
        maker.click("[data-test=add-plier]").await?;
        maker.click("[data-test=keep-plier]").await?;
        maker.sees("form", "Enter a name").await?;
        maker.fill("[data-test=plier-name] input", "grandfather's").await?;
        maker.fill("[data-test=tip_mm] input", "1 mm").await?;
        maker.fill("[data-test=base_mm] input", "6 mm").await?;
        maker.click("[data-test=keep-plier]").await?;
        maker.sees("[data-test=pliers]", "grandfather's").await?;
        at_an_open_hook(maker).await?;
        maker.choose("[data-test=plier] select", "grandfather's").await?;
        maker.sees(SENTENCE, "rolled on the grandfather's").await?;
        // (Ø − 1)/5 × 25 mm from the tip, Ø 2.12 for a loop of 2.2: 5.6 mm, half millimetres on the ruler.
        maker.sees("[data-test=steps]", "on the grandfather's, 5.5 mm from the tip").await
    })
}

#[test]
fn the_ask_line_opens_findings_in_the_room() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.find("[data-test=figures]").await?;
        maker.press("/").await?;
        maker.press("24 pairs hooks 21 ga sterling half-hard").await?;
        maker.sees("[data-test=answer]", "Ear wires: cut 48 at").await?;
        maker.press(Key::Enter + "").await?;
        maker
            .sees(SENTENCE, "24 pairs of ear wires in half-hard sterling silver, round 0.72 mm (21 AWG)")
            .await?;
        maker.fill("[data-test=ask]", "figure eight 3mm loops 18ga").await?;
        maker.sees("[data-test=answer]", "loop 3").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(SENTENCE, "1 figure eight").await
    })
}

#[test]
fn every_figure_of_a_finding_opens_to_its_working() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        maker.click("[data-test=all-checks]").await?;
        maker.sees("[data-test=well]", "The wire touches itself nowhere").await?;
        for face in maker.browser.driver.find_all(By::Css("[data-figure]")).await? {
            face.click().await?;
            let working = maker.text("[data-test=working]").await?;
            ensure!(["Assumed", "Spread", "Source"].iter().all(|word| working.contains(word)), "{working}");
            face.click().await?;
        }
        Ok(())
    })
}

#[test]
fn a_matched_screen_shows_the_piece_at_true_size() -> Result<()> {
    at_the_bench(|maker| async move {
        at_an_open_hook(maker).await?;
        maker.script("localStorage.setItem('lorimant.pixels-per-mm', '4')").await?;
        maker.browser.driver.refresh().await?;
        maker.sees(BLANK, "44.5").await?;
        maker.click("[data-test=true-size]").await?;
        // The flush blank, 44.5 mm, is 4 pixels a millimetre long.
        let flush = "return document.querySelector('[data-test=blank]').getBoundingClientRect().width / 4";
        maker
            .until("the strip at true size", || async {
                let mm = maker.script(flush).await?.as_f64().unwrap_or(0.0);
                Ok((mm - 44.5).abs() < 0.05)
            })
            .await?;
        // The crown's drawn line is 8 mm inside and as wide as its mean turn: 8.81 mm.
        let crown = "return document.querySelector('[data-segment=\"2\"]').getBoundingClientRect().width / 4";
        let mm = maker.script(crown).await?.as_f64().unwrap_or(0.0);
        ensure!((mm - 8.8118).abs() < 0.1, "{mm}");
        Ok(())
    })
}
