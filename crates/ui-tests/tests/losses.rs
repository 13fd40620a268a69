//! What a person keeps, types and books is not lost or made another's: by undo across pieces, by two tabs, by keys that
//! come too soon, by a scale that weighs the spool as well.
use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use rstest::rstest;
use serde_json::json;
use thirtyfour::prelude::*;

use crate::sign_in::lock;

const SENTENCE: &str = "[data-test=sentence]";
const KEPT_AS: &str = "[data-test=kept-as]";

/// Opens a kept plan or finding by its name.
async fn open_kept(maker: &Maker, name: &str) -> Result<()> {
    maker.open("/saved").await?;
    maker.fill("[data-test=find] input", name).await?;
    maker.until("one plan", || async { Ok(maker.count("[data-test=plans] .plan").await? == 1) }).await?;
    maker.click("[data-test=open-plan]").await?;
    maker.sees(KEPT_AS, name).await
}

/// The names of two kept plans.
async fn two_plans(maker: &Maker) -> Result<(String, String)> {
    let names = maker
        .script(
            "const list = await (await fetch('/api/plans?most=500')).json();\
             return list.entries.map(entry => entry.record.name)",
        )
        .await?;
    let name = |i: usize| names[i].as_str().map(str::to_owned).context("two kept plans");
    Ok((name(0)?, name(1)?))
}

/// What is kept of a plan, by its name.
async fn kept(maker: &Maker, name: &str) -> Result<serde_json::Value> {
    let script = format!(
        "const list = await (await fetch('/api/plans?most=500')).json();\
         return list.entries.find(entry => entry.record.name === {})",
        json!(name)
    );
    maker.script(&script).await
}

pub(crate) async fn ring_count(maker: &Maker, text: &str) -> Result<()> {
    maker.click("[data-slot=rings]").await?;
    maker.fill("[data-test=typed] input", text).await?;
    maker.sees(SENTENCE, &format!("{text} rings")).await?;
    maker.press(Key::Enter + "").await?;
    maker.gone("[data-test=editor]").await
}

#[test]
fn undo_goes_back_to_whose_plan_it_was() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        let (first, second) = two_plans(maker).await?;
        let before = kept(maker, &second).await?;
        open_kept(maker, &first).await?;
        ring_count(maker, "37").await?;
        maker.sees(KEPT_AS, "changed since saved").await?;
        open_kept(maker, &second).await?;
        // Back to the first plan as it was changed: its name comes with it, and so does its place on the shelf.
        maker.press(Key::Control + "z").await?;
        maker.sees(SENTENCE, "37 rings").await?;
        maker.sees(KEPT_AS, &first).await?;
        maker.press(Key::Control + "s").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.sees("[data-test=notice]", &first).await?;
        ensure!(
            kept(maker, &second).await?["record"] == before["record"],
            "the second plan was written over"
        );
        ensure!(kept(maker, &first).await?["record"]["request"]["rings_n"] == 37);
        // Forwards again: the second, under its own name.
        maker.press(Key::Control + "y").await?;
        maker.sees(KEPT_AS, &second).await
    })
}

#[test]
fn what_was_kept_meanwhile_is_undone_without_going_back_to_an_older_revision() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        let (first, _) = two_plans(maker).await?;
        open_kept(maker, &first).await?;
        ring_count(maker, "41").await?;
        maker.press(Key::Control + "s").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.sees("[data-test=notice]", "Saved as").await?;
        maker.press(Key::Control + "z").await?;
        maker.sees(KEPT_AS, "changed since saved").await?;
        // Keeping the older request is a change like any other: no conflict with oneself.
        maker.press(Key::Control + "s").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker
            .until("kept again", || async {
                Ok(kept(maker, &first).await?["record"]["request"]["rings_n"] != 41)
            })
            .await?;
        maker.gone("[data-test=conflict]").await
    })
}

#[rstest]
#[case::yours("[data-test=keep-mine]", 52)]
#[case::theirs("[data-test=open-theirs]", 51)]
fn two_tabs_meet_with_both_versions_side_by_side(
    #[case] choice: &'static str,
    #[case] rings: u32,
) -> Result<()> {
    at_the_bench(move |maker| async move {
        maker.open("/rings").await?;
        let (first, _) = two_plans(maker).await?;
        open_kept(maker, &first).await?;
        let driver = &maker.browser.driver;
        let one = driver.window().await?;
        let other = driver.new_tab().await?;
        driver.switch_to_window(other.clone()).await?;
        open_kept(maker, &first).await?;
        ring_count(maker, "51").await?;
        maker.press(Key::Control + "s").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.sees("[data-test=notice]", "Saved as").await?;
        // The first tab knows nothing of it, and does not write over it.
        driver.switch_to_window(one).await?;
        ring_count(maker, "52").await?;
        maker.press(Key::Control + "s").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.sees("[data-test=conflict]", "52 rings").await?;
        maker.sees("[data-test=conflict]", "51 rings").await?;
        ensure!(kept(maker, &first).await?["record"]["request"]["rings_n"] == 51);
        maker.is_accessible().await?;
        maker.click(choice).await?;
        maker.sees(SENTENCE, &format!("{rings} rings")).await?;
        maker
            .until("what was chosen stands", || async {
                Ok(kept(maker, &first).await?["record"]["request"]["rings_n"] == rings)
            })
            .await
    })
}

#[test]
fn a_draft_belongs_to_its_tab_and_survives_there() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "120 rings").await?;
        ring_count(maker, "63").await?;
        let driver = &maker.browser.driver;
        let one = driver.window().await?;
        let other = driver.new_tab().await?;
        driver.switch_to_window(other).await?;
        // A new tab starts from what was last worked on, and goes its own way.
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "63 rings").await?;
        ring_count(maker, "64").await?;
        driver.switch_to_window(one).await?;
        driver.refresh().await?;
        maker.sees(SENTENCE, "63 rings").await
    })
}

#[test]
fn a_new_tab_starts_with_the_record_its_request_belongs_to() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        let (first, second) = two_plans(maker).await?;
        open_kept(maker, &first).await?;
        open_kept(maker, &second).await?;
        let request = kept(maker, &second).await?["record"]["request"].clone();
        let driver = &maker.browser.driver;
        let other = driver.new_tab().await?;
        driver.switch_to_window(other).await?;
        maker.open("/rings").await?;
        maker.sees(KEPT_AS, &second).await?;
        maker.press(Key::Control + "s").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.sees("[data-test=notice]", &second).await?;
        ensure!(kept(maker, &second).await?["record"]["request"] == request, "another request was kept");
        Ok(())
    })
}

#[test]
fn what_was_booked_is_taken_back_where_it_was_done_and_from_what_was_done() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire/cutting-plan").await?;
        maker.sees("[data-test=strip]", "Flush the end").await?;
        maker.gone("[data-test=working]").await?;
        maker.click("[data-test=tick]").await?;
        // Another window and back: everything is asked for again, and what was ticked stays ticked.
        maker.script("document.dispatchEvent(new Event('visibilitychange'))").await?;
        let picked = maker.text("[data-test=picks]").await?;
        maker.click("[data-test=book-cuts]").await?;
        maker.sees("[data-test=last-done]", "Undo").await?;
        // Its notice goes; the line stays, in another view as well.
        maker.open("/reference").await?;
        maker.click("[data-test=history]").await?;
        maker.sees("[data-test=written] li", " cut, “").await?;
        maker.is_accessible().await?;
        maker.click("[data-test=written] li button").await?;
        maker.sees("[data-test=last-done]", "Undone").await?;
        maker.sees("[data-test=written] li", "Undid").await?;
        maker.open("/wire/cutting-plan").await?;
        maker
            .until("the picks are back", || async { Ok(maker.text("[data-test=picks]").await? == picked) })
            .await
    })
}

#[test]
fn walking_through_what_can_be_picked_picks_nothing_and_twice_the_same_is_more_of_it() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire/cutting-plan").await?;
        maker.find("[data-test=picks] li").await?;
        let rows = maker.count("[data-test=picks] li").await?;
        let list = maker.find("[data-test=piece]").await?;
        list.focus().await?;
        for _ in 0..3 {
            maker.press(Key::Down + "").await?;
        }
        maker.find("[data-test=pick-it]:not([disabled])").await?;
        ensure!(maker.count("[data-test=picks] li").await? == rows, "arrow keys picked something");
        maker.click("[data-test=pick-it]").await?;
        maker.sees("[data-test=notice]", "Added").await?;
        let after = maker.count("[data-test=picks] li").await?;
        ensure!(after <= rows + 1, "{rows} rows became {after}");
        maker.choose("[data-test=piece]", "Water sprites, ear wires").await?;
        maker.click("[data-test=pick-it]").await?;
        maker.sees("[data-test=notice]", "Water sprites").await?;
        let once = maker.count("[data-test=picks] li").await?;
        maker.choose("[data-test=piece]", "Water sprites, ear wires").await?;
        maker.click("[data-test=pick-it]").await?;
        maker
            .until("picked again", || async { Ok(maker.count("[data-test=pick-it][disabled]").await? == 1) })
            .await?;
        ensure!(maker.count("[data-test=picks] li").await? == once, "the same piece stands twice");
        Ok(())
    })
}

#[rstest]
#[case("size", "18 awg", "1.02 mm (18 AWG)")]
#[case("rings", "2041", "2041 rings")]
#[case("inside", "4.75", "4.7")]
fn keys_typed_while_an_editor_opens_on_a_slow_machine_are_not_lost(
    #[case] slot: &'static str,
    #[case] keys: &'static str,
    #[case] says: &'static str,
) -> Result<()> {
    at_the_bench(move |maker| async move {
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "120 rings").await?;
        maker.browser.driver.cdp().send_raw("Emulation.setCPUThrottlingRate", json!({ "rate": 8 })).await?;
        maker.find(&format!("[data-slot={slot}]")).await?.focus().await?;
        maker.press(keys).await?;
        let field = maker.find("[data-test=typed] input").await?;
        maker
            .until("all keys in the field", || {
                let field = field.clone();
                async move { Ok(field.value().await?.as_deref() == Some(keys)) }
            })
            .await?;
        maker.sees(SENTENCE, says).await
    })
}

#[test]
fn escape_leaves_a_word_as_it_was_and_a_bad_value_never_stays() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "120 rings").await?;
        maker.click("[data-slot=rings]").await?;
        maker.fill("[data-test=typed] input", "77").await?;
        maker.sees(SENTENCE, "77 rings").await?;
        maker.press(Key::Escape + "").await?;
        maker.sees(SENTENCE, "120 rings").await?;
        // Enter keeps what cannot be made in its editor; leaving it elsewhere leaves the word as it was, and says so.
        maker.click("[data-slot=size]").await?;
        maker.fill("[data-test=typed] input", "7 mm").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=editor]", "thicker than").await?;
        maker.find("[data-test=editor]").await?;
        maker.script("document.querySelector('.v-overlay__scrim')?.click()").await?;
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=editor]").await?;
        maker.sees(SENTENCE, "1.02 mm (18 AWG)").await?;
        ensure!(maker.find("[data-test=keep]").await?.is_enabled().await?, "it can be kept");
        // Typed and at once Enter: nothing of it is lost.
        maker.click("[data-slot=rings]").await?;
        maker.find("[data-test=typed] input").await?;
        maker.fill("[data-test=typed] input", "88").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(SENTENCE, "88 rings").await?;
        maker.gone("[data-test=editor]").await
    })
}

/// On a slow network what was typed is still on its way when its editor is left.
#[test]
fn what_is_not_answered_yet_does_not_come_after_escape() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "1.02 mm (18 AWG)").await?;
        maker.network(400, false).await?;
        maker.click("[data-slot=size]").await?;
        maker.fill("[data-test=typed] input", "0.8 mm").await?;
        // Enter asks at once; the answer takes two ways.
        maker.press(Key::Enter + "").await?;
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=editor]").await?;
        // What is typed in the next word comes after all of it.
        maker.click("[data-slot=rings]").await?;
        maker.fill("[data-test=typed] input", "88").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(SENTENCE, "88 rings").await?;
        maker.gone("[data-test=editor]").await?;
        let sentence = maker.text(SENTENCE).await?;
        maker.network(0, false).await?;
        ensure!(sentence.contains("1.02 mm (18 AWG)"), "{sentence}");
        Ok(())
    })
}

#[test]
fn a_spool_of_unknown_weight_is_asked_for_before_it_is_booked_as_wire() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire").await?;
        maker.click("[data-test=receive]").await?;
        maker.fill("[data-test=listing] input", "copper round 1 mm soft 10 m").await?;
        maker.has_chosen("[data-test=lot-metal] select", "copper").await?;
        maker.fill("[data-test=lot-name] input", "Slate spool").await?;
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[data-test=notice]", "Slate spool").await?;
        maker.fill("[data-test=find-lot] input", "Slate").await?;
        maker.sees("[data-test=open-lot]", "Slate spool").await?;
        maker.click("[data-test=open-lot]").await?;
        maker.sees("[data-test=left]", "10.00 m").await?;
        maker.click("[data-test=do-weigh]").await?;
        maker.fill("[data-test=weight] input", "130 g").await?;
        maker.press(Key::Tab + "").await?;
        maker.sees("[data-test=weigh-tare]", "What does the empty spool weigh?").await?;
        maker.fill("[data-test=weigh-tare] input", "62").await?;
        maker.press(Key::Tab + "").await?;
        maker.sees("[data-test=weighed]", "less 62 g for the spool").await?;
        maker.click("[data-test=book-weight]").await?;
        // 68 g of 1 mm copper are 9.6 m; what the spool weighs is known from now on.
        maker.sees("[data-test=left]", "9.6").await?;
        // What is typed is shown at once, and the first press books it.
        maker.click("[data-test=do-weigh]").await?;
        maker.fill("[data-test=weight] input", "120 g").await?;
        maker.sees("[data-test=weighed]", "less 62 g for the spool").await?;
        maker.click("[data-test=book-weight]").await?;
        maker.sees("[data-test=left]", "8.2").await?;
        maker.click("[data-test=do-weigh]").await?;
        maker.sees("[data-test=lot-panel]", "(empty: 62.00 g)").await
    })
}

#[test]
fn a_server_that_is_killed_while_a_word_is_edited_loses_nothing() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.click("[data-slot=rings]").await?;
        maker.fill("[data-test=typed] input", "37").await?;
        maker.sees(SENTENCE, "37 rings").await?;
        maker.server.stop().await;
        maker.fill("[data-test=typed] input", "38").await?;
        maker.sees("[data-test=editor]", "server").await?;
        maker.server.kill_and_restart().await?;
        maker.fill("[data-test=typed] input", "39").await?;
        maker.sees(SENTENCE, "39 rings").await?;
        maker.press(Key::Enter + "").await?;
        maker.gone("[data-test=editor]").await?;
        maker.browser.driver.refresh().await?;
        maker.sees(SENTENCE, "39 rings").await
    })
}

/// A page that was not fetched yet is asked for while the server is away: that is said, and it opens afterwards.
#[test]
fn a_page_is_opened_while_the_server_is_away() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/today").await?;
        maker.server.stop().await;
        maker.click("nav a[href='/measure']").await?;
        maker.sees("[data-test=notice]", "server doesn’t answer").await?;
        maker.server.kill_and_restart().await?;
        maker.click("nav a[href='/measure']").await?;
        maker.sees("h1", "Measurements").await
    })
}

/// Settings are fetched when they are first opened: where the server is away, that is said, and they come once it is back.
#[test]
fn settings_are_opened_while_the_server_is_away() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/help").await?;
        maker.find("[data-test=settings]").await?;
        maker.server.stop().await;
        maker.click("[data-test=settings]").await?;
        maker.sees("[data-test=notice]", "server doesn’t answer").await?;
        maker.server.kill_and_restart().await?;
        maker.sees("[role=dialog]", "Settings").await
    })
}

/// What was changed in another window is there when one comes back to this one.
#[test]
fn tools_and_units_changed_elsewhere_are_followed() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "mm inside").await?;
        maker
            .script(
                "const now = await (await fetch('/api/settings')).json();
                 await fetch(`/api/settings?revision=${now.revision}`, { method: 'PUT',
                     headers: { 'content-type': 'application/json' },
                     body: JSON.stringify({ ...now.settings, unit: 'inch' }) });
                 document.dispatchEvent(new Event('visibilitychange'))",
            )
            .await?;
        maker.sees(SENTENCE, "in inside").await
    })
}

/// Opens what is written of a lot, to change it.
async fn change_lot(maker: &Maker, name: &str) -> Result<()> {
    maker.open("/wire").await?;
    maker.fill("[data-test=find-lot] input", name).await?;
    maker.sees("[data-test=lot]", name).await?;
    maker.until("one lot", || async { Ok(maker.count("[data-test=lot]").await? == 1) }).await?;
    maker.click("[data-test=open-lot]").await?;
    maker.click("[data-test=change-lot]").await?;
    maker.find("[data-test=lot-name] input").await?;
    Ok(())
}

#[rstest]
#[case::yours("[data-test=keep-mine]", "9.50")]
#[case::theirs("[data-test=open-theirs]", "8.80")]
fn two_tabs_meet_over_a_lot(#[case] choice: &'static str, #[case] price: &'static str) -> Result<()> {
    at_the_bench(move |maker| async move {
        change_lot(maker, "Blue spool").await?;
        let driver = &maker.browser.driver;
        let one = driver.window().await?;
        let other = driver.new_tab().await?;
        driver.switch_to_window(other).await?;
        change_lot(maker, "Blue spool").await?;
        maker.fill("[data-test=lot-price] input", "8.80").await?;
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[data-test=notice]", "Changed “Blue spool”").await?;
        driver.switch_to_window(one).await?;
        maker.fill("[data-test=lot-price] input", "9.50").await?;
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[data-test=conflict]", "9.50").await?;
        maker.sees("[data-test=conflict]", "8.80").await?;
        maker.is_accessible().await?;
        maker.click(choice).await?;
        maker
            .until("what was chosen stands there", || async {
                let shown = maker
                    .script("return document.querySelector('[data-test=lot-price] input')?.value ?? null")
                    .await?;
                let lots = maker.script("return await (await fetch('/api/lots?find=Blue')).json()").await?;
                let kept = lots["lots"][0]["record"]["price"] == price;
                Ok(kept && (shown.is_null() || shown == price))
            })
            .await
    })
}

/// What is typed of wire that comes in outlives a reload, a lock and a server that is killed.
#[test]
fn wire_that_is_being_received_is_not_lost() -> Result<()> {
    at_the_bench(|maker| async move {
        let name = "return document.querySelector('[data-test=lot-name] input')?.value ?? null";
        let stays = || async {
            maker.open("/wire").await?;
            maker.click("[data-test=receive]").await?;
            maker.has_chosen("[data-test=lot-metal] select", "copper").await?;
            maker.until("the tag", || async { Ok(maker.script(name).await? == "Slate spool") }).await
        };
        maker.open("/wire").await?;
        maker.click("[data-test=receive]").await?;
        maker.fill("[data-test=listing] input", "copper round 1 mm soft 10 m").await?;
        maker.has_chosen("[data-test=lot-metal] select", "copper").await?;
        maker.fill("[data-test=lot-name] input", "Slate spool").await?;
        maker.browser.driver.refresh().await?;
        stays().await?;
        maker.server.stop().await;
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[role=dialog]", "server").await?;
        maker.server.kill_and_restart().await?;
        lock(maker, "reed and rush").await?;
        maker.server.kill_and_restart().await?;
        maker.click("[data-test=keep-lot]").await?;
        maker.fill("main input[type=password]", "reed and rush").await?;
        maker.press(Key::Enter + "").await?;
        maker.find("[data-test=receive]").await?;
        stays().await?;
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[data-test=notice]", "Slate spool").await?;
        // What is on the rack is no longer being received.
        maker.click("[data-test=receive]").await?;
        maker.until("an empty tag", || async { Ok(maker.script(name).await? == "") }).await
    })
}

/// A pick that was changed elsewhere is not written over, and the list says how it stands.
#[test]
fn a_pick_changed_elsewhere_is_not_written_over() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire/cutting-plan").await?;
        maker.find("[data-test=pick-count]").await?;
        maker
            .script(
                "const row = (await (await fetch('/api/picks')).json())[0];
                 await fetch(`/api/picks/${row.id}?revision=${row.revision}`, { method: 'PUT',
                     headers: { 'content-type': 'application/json' },
                     body: JSON.stringify({ entry: row.record.entry, pieces_n: 31 }) })",
            )
            .await?;
        maker.fill("[data-test=pick-count]", "32").await?;
        maker.press(Key::Tab + "").await?;
        maker.sees("[data-test=pick-fault]", "changed elsewhere").await?;
        let count = "return document.querySelector('[data-test=pick-count]').value";
        maker.until("how it stands", || async { Ok(maker.script(count).await? == "31") }).await?;
        // Once seen, it can be changed.
        maker.fill("[data-test=pick-count]", "32").await?;
        maker.press(Key::Tab + "").await?;
        maker.sees("[data-test=notice]", "32 of").await?;
        maker.browser.driver.refresh().await?;
        maker.until("kept", || async { Ok(maker.script(count).await? == "32") }).await
    })
}

/// What was pressed and not carried out yet is given up with the word.
#[test]
fn presses_behind_an_escape_are_not_carried_out() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "120 rings").await?;
        maker.click("[data-slot=rings]").await?;
        maker.find("[data-test=typed] input").await?;
        maker
            .script(
                "const more = document.querySelector('[data-test=more-of-it]');
                 for (let n = 0; n < 8; n++) more.click();
                 document.querySelector('[data-test=editor]').dispatchEvent(
                     new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))",
            )
            .await?;
        maker.gone("[data-test=editor]").await?;
        maker.sees(SENTENCE, "120 rings").await?;
        // Whatever was under way has been answered by the time another word is.
        maker.click("[data-slot=temper]").await?;
        maker.find("[data-test=choice]").await?;
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=editor]").await?;
        maker.sees(SENTENCE, "120 rings").await
    })
}

/// How many of a finding are made.
async fn piece_count(maker: &Maker, n: u32) -> Result<()> {
    maker.click("[data-slot=pieces]").await?;
    maker.fill("[data-test=typed] input", &n.to_string()).await?;
    maker.sees(SENTENCE, &n.to_string()).await?;
    maker.press(Key::Enter + "").await?;
    maker.gone("[data-test=editor]").await
}

async fn kept_finding(maker: &Maker, name: &str) -> Result<serde_json::Value> {
    let script = format!(
        "const list = await (await fetch('/api/findings?most=500')).json();\
         return list.entries.find(entry => entry.record.name === {})",
        json!(name)
    );
    maker.script(&script).await
}

async fn keep_it(maker: &Maker) -> Result<()> {
    maker.press(Key::Control + "s").await?;
    maker.click("[data-test=keep-confirm]").await
}

const LINKS: &str = "Reed crown, links";
const CLASP: &str = "Ferryman's cloak clasp";

/// Findings as ring plans: undo goes back to whose finding it was.
#[test]
fn undo_goes_back_to_whose_finding_it_was() -> Result<()> {
    at_the_bench(|maker| async move {
        open_kept(maker, LINKS).await?;
        piece_count(maker, 37).await?;
        let before = kept_finding(maker, CLASP).await?;
        open_kept(maker, CLASP).await?;
        maker.press(Key::Control + "z").await?;
        maker.sees(SENTENCE, "37 figure eights").await?;
        maker.sees(KEPT_AS, LINKS).await?;
        keep_it(maker).await?;
        maker.sees("[data-test=notice]", LINKS).await?;
        ensure!(
            kept_finding(maker, CLASP).await?["record"] == before["record"],
            "the clasp was written over"
        );
        ensure!(kept_finding(maker, LINKS).await?["record"]["request"]["pieces_n"] == 37);
        Ok(())
    })
}

/// Two tabs, and two browsers, that change one finding.
#[test]
fn two_tabs_meet_over_a_finding_and_a_reload_keeps_what_is_not_kept() -> Result<()> {
    at_the_bench(|maker| async move {
        open_kept(maker, LINKS).await?;
        let driver = &maker.browser.driver;
        let one = driver.window().await?;
        let other = driver.new_tab().await?;
        driver.switch_to_window(other).await?;
        open_kept(maker, LINKS).await?;
        piece_count(maker, 51).await?;
        keep_it(maker).await?;
        maker.sees("[data-test=notice]", "Saved as").await?;
        driver.switch_to_window(one).await?;
        piece_count(maker, 52).await?;
        driver.refresh().await?;
        maker.sees(SENTENCE, "52 figure eights").await?;
        keep_it(maker).await?;
        maker.sees("[data-test=conflict]", "52 figure eights").await?;
        maker.sees("[data-test=conflict]", "51 figure eights").await?;
        ensure!(kept_finding(maker, LINKS).await?["record"]["request"]["pieces_n"] == 51);
        maker.click("[data-test=keep-mine]").await?;
        maker
            .until("yours stands", || async {
                Ok(kept_finding(maker, LINKS).await?["record"]["request"]["pieces_n"] == 52)
            })
            .await
    })
}

/// A browser of another person has drafts of its own, and meets the same conflict.
#[test]
fn two_browsers_meet_over_a_plan() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        let (first, _) = two_plans(maker).await?;
        open_kept(maker, &first).await?;
        ring_count(maker, "52").await?;
        let another = lorimant_ui_tests::browser::Browser::take().await?;
        another.driver.goto(format!("{}/rings", maker.server.address())).await?;
        let changed = another
            .driver
            .execute(
                "const list = await (await fetch('/api/plans?most=500')).json();
                 const entry = list.entries.find((one) => one.record.name === arguments[0]);
                 const record = { ...entry.record, request: { ...entry.record.request, rings_n: 51 } };
                 const answer = await fetch(`/api/plans/${entry.id}?revision=${entry.revision}`, { method: 'PUT',
                     headers: { 'content-type': 'application/json' }, body: JSON.stringify(record) });
                 return answer.status",
                vec![json!(first)],
            )
            .await?;
        ensure!(changed.json() == &json!(200), "{:?}", changed.json());
        another.stop().await;
        keep_it(maker).await?;
        maker.sees("[data-test=conflict]", "51 rings").await?;
        maker.sees("[data-test=conflict]", "52 rings").await
    })
}

/// A server that is killed while a finding is edited and a booking is typed loses neither.
#[test]
fn a_server_that_is_killed_loses_no_finding_and_no_booking() -> Result<()> {
    at_the_bench(|maker| async move {
        open_kept(maker, LINKS).await?;
        piece_count(maker, 61).await?;
        maker.server.stop().await;
        keep_it(maker).await?;
        maker.sees("[role=dialog]", "server").await?;
        maker.server.kill_and_restart().await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.sees("[data-test=notice]", "Saved as").await?;
        ensure!(kept_finding(maker, LINKS).await?["record"]["request"]["pieces_n"] == 61);
        maker.open("/wire").await?;
        maker.fill("[data-test=find-lot] input", "Blue spool").await?;
        maker.until("one lot", || async { Ok(maker.count("[data-test=lot]").await? == 1) }).await?;
        maker.click("[data-test=open-lot]").await?;
        let left = maker.text("[data-test=left]").await?;
        maker.click("[data-test=do-weigh]").await?;
        maker.fill("[data-test=weight] input", "150 g").await?;
        maker.sees("[data-test=weighed]", "150 g").await?;
        maker.server.stop().await;
        maker.click("[data-test=book-weight]").await?;
        maker.sees("[data-test=lot-panel]", "server").await?;
        maker.server.kill_and_restart().await?;
        maker.click("[data-test=book-weight]").await?;
        maker.sees("[data-test=notice]", "Stock corrected to the scale").await?;
        maker.until("another length", || async { Ok(maker.text("[data-test=left]").await? != left) }).await
    })
}

/// A spool that somebody else cut from meanwhile is not taken back: what they did is said, and it stays.
#[test]
fn undo_takes_nothing_back_that_another_went_on_with() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire").await?;
        maker.click("[data-test=receive]").await?;
        maker.fill("[data-test=listing] input", ".925 HH sq 20ga 5ft 14.80").await?;
        maker.has_chosen("[data-test=lot-metal] select", "sterling silver").await?;
        maker.fill("[data-test=lot-name] input", "Square silver").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=notice]", "added to stock").await?;
        maker
            .script(
                "const lots = (await (await fetch('/api/lots?most=500')).json()).lots;
                 const last = Math.max(...lots.map(lot => lot.entry ? lot.entry.id : lot.id));
                 await fetch(`/api/lots/${last}/ledger`, { method: 'POST',
                     headers: { 'content-type': 'application/json' },
                     body: JSON.stringify({ kind: 'cut', length_mm: -300 }) })",
            )
            .await?;
        maker.click("[data-test=undo-notice]").await?;
        maker.sees("[data-test=notice]", "1 entry in its history since").await?;
        maker.sees("[data-test=notice]", "Chrome on Linux").await
    })
}
