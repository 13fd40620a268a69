//! A batch led at the bench: by keyboard and by touch, through reloads, a killed server and a second device.
use anyhow::{Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench, client};
use thirtyfour::prelude::*;

const COUNT: &str = "[data-test=count]";
const INSTRUCTION: &str = "[data-test=instruction]";

/// Begins a batch of one of the demo's findings.
async fn begin(maker: &Maker, many: &str) -> Result<()> {
    maker.open("/bench").await?;
    maker.sees("[data-test=empty]", "No batch on the bench").await?;
    maker.choose("[data-test=piece]", "Lake Queen, long ear wires").await?;
    maker.fill("[data-test=how-many]", many).await?;
    maker.press(Key::Enter + "").await?;
    maker.sees(INSTRUCTION, "straight").await
}

/// Presses on until a step says so.
async fn on_to(maker: &Maker, says: &str) -> Result<()> {
    maker.presses_on(|instruction| instruction.contains(says)).await
}

#[test]
fn a_batch_is_led_by_keyboard_through_reload_and_a_killed_server() -> Result<()> {
    at_the_bench(|maker| async move {
        begin(maker, "2").await?;
        on_to(maker, "from the flush end").await?;
        maker.sees(COUNT, "0 of 4").await?;
        maker.sees("[data-test=reads]", "mm").await?;
        maker.sees("[data-test=caution]", "afety glasses").await?;
        maker.is_accessible().await?;
        maker.press(" ").await?;
        maker.sees(COUNT, "1 of 4").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(COUNT, "2 of 4").await?;
        // The window is closed and opened again: the same piece of the same step.
        maker.browser.driver.refresh().await?;
        maker.sees(COUNT, "2 of 4").await?;
        // The server is gone while the maker goes on.
        maker.server.stop().await;
        maker.press(" ").await?;
        maker.sees(COUNT, "3 of 4").await?;
        maker.sees("[data-test=unanswered]", "Saved here. It will sync when the server is back").await?;
        maker.server.kill_and_restart().await?;
        maker.gone("[data-test=unanswered]").await?;
        maker.browser.driver.refresh().await?;
        maker.sees(COUNT, "3 of 4").await?;
        maker.press(Key::Backspace + "").await?;
        maker.sees(COUNT, "2 of 4").await?;
        // A miss is a key too, with its reason.
        maker.press("x").await?;
        maker.fill("[data-test=reason] input", "slipped").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(COUNT, "2 of 3").await?;
        maker.open("/bench").await?;
        maker.sees("[data-test=batches]", "3 of 4 good").await
    })
}

#[test]
fn a_batch_is_made_to_its_end_and_put_away() -> Result<()> {
    at_the_bench(|maker| async move {
        begin(maker, "1").await?;
        maker.makes_all(|| async { maker.press(" ").await }).await?;
        maker.sees("[data-test=made]", "2 made").await?;
        maker.click("[data-test=put-away]").await?;
        maker.sees("[data-test=empty]", "No batch on the bench").await
    })
}

/// What went wrong at a step is not scrap at once: the way leads to what it can still become, with the step it is at.
#[test]
fn what_is_scrapped_may_still_become_something() -> Result<()> {
    at_the_bench(|maker| async move {
        begin(maker, "2").await?;
        on_to(maker, "roll the loop").await?;
        maker.press(" ").await?;
        maker.press("x").await?;
        maker.click("[data-test=to-rescue]").await?;
        maker.sees("[data-test=rescue]", "Of").await?;
        maker
            .until("the step to be chosen", || async {
                let script =
                    "return document.querySelector('[data-test=wrong-at]').selectedOptions[0]?.label ?? ''";
                Ok(maker.script(script).await?.as_str().is_some_and(|label| label.contains("roll loop")))
            })
            .await?;
        maker.fill("[data-test=wrong-by]", "2 mm").await?;
        maker.click("[data-test=what-now]").await?;
        maker.sees("[data-test=rescues]", "instead of").await
    })
}

/// On a phone, by taps; another device at the same batch is heard of, and no piece counts twice.
#[test]
fn two_devices_at_one_batch_count_together() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.browser.resize(390, 844).await?;
        begin(maker, "3").await?;
        let tap = async || maker.click("[data-test=press]").await;
        tap().await?;
        maker.sees(INSTRUCTION, "Snip the spool's end").await?;
        tap().await?;
        maker.sees(INSTRUCTION, "from the flush end").await?;
        tap().await?;
        maker.sees(COUNT, "1 of 6").await?;
        let wide = maker.script("return document.documentElement.scrollWidth - innerWidth").await?;
        ensure!(wide.as_i64().is_some_and(|over| over <= 0), "{wide} px too wide");
        let path = maker.browser.driver.current_url().await?.path().to_owned();
        let id = path.rsplit('/').next().unwrap_or_default().to_owned();
        let mut other = client::connect(&maker.server.address()).await?;
        for key in ["other-01", "other-02", "other-02"] {
            let told = format!(r#"{{"key":"{key}","step_n":3,"kind":"done","n":1}}"#);
            client::ask(&mut other, "POST", &format!("/api/batches/{id}/events"), &told).await?;
        }
        maker.sees(COUNT, "3 of 6").await?;
        tap().await?;
        maker.sees(COUNT, "4 of 6").await
    })
}

#[test]
fn what_is_no_number_is_said_where_it_stands() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/bench").await?;
        maker.choose("[data-test=piece]", "Lake Queen, long ear wires").await?;
        maker.fill("[data-test=how-many]", "a few").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("main [role=alert]", "“a few” is not a number of pieces").await?;
        ensure!(maker.count("[data-test=batches]").await? == 0);
        Ok(())
    })
}

/// What is noted at the bench stays with the batch; what was cut one by one stands as one line in the wire's history.
#[test]
fn a_batch_is_noted_on_and_its_cuts_are_one_line() -> Result<()> {
    at_the_bench(|maker| async move {
        begin(maker, "2").await?;
        maker.press("n").await?;
        maker.fill("[data-test=batch-note] textarea", "jaw taped").await?;
        maker.click("[data-test=save-note]").await?;
        maker.sees("[data-test=noted]", "jaw taped").await?;
        on_to(maker, "from the flush end").await?;
        let lot = maker.text("[data-test=lot] option:checked").await?;
        for n in 1..=4 {
            maker.press(" ").await?;
            maker
                .sees(
                    "[data-test=steps] .finished, [data-test=count]",
                    &if n < 4 { n.to_string() } else { "0".into() },
                )
                .await?;
        }
        // What is left stands behind its name.
        let name = lot.rsplit_once(", ").map_or(lot.clone(), |(name, _)| name.to_owned());
        maker.open(&format!("/wire?find={}", name.replace(' ', "%20"))).await?;
        maker.click("[data-test=open-lot]").await?;
        maker.sees("[data-test=ledger]", "4 × cut").await?;
        maker.click("[data-test=show-lines]").await?;
        maker.gone("[data-test=show-lines]").await
    })
}
