//! Rods and blades owned; looking things up.
use anyhow::{Result, ensure};
use lorimant_ui_tests::at_the_bench;
use thirtyfour::prelude::*;

#[test]
fn a_rod_is_added_edited_removed_and_taken_back() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/tools").await?;
        maker.sees("[data-test=rods]", "drill shank").await?;
        maker.click("[data-test=add-rod]").await?;
        maker.fill("[data-test=rod-name] input", "brass tube").await?;
        maker.fill("[data-test=diameter_mm] input", "nonsense").await?;
        maker.click("[data-test=keep-rod]").await?;
        maker.sees("[data-test=diameter_mm]", "is not a length").await?;
        maker.fill("[data-test=diameter_mm] input", "9/32\"").await?;
        maker.fill("[data-test=length_mm] input", "100").await?;
        maker.fill("[data-test=usable_mm] input", "120").await?;
        maker.click("[data-test=keep-rod]").await?;
        maker.sees("[data-test=usable_mm]", "100 mm (3.937 in) long").await?;
        maker.fill("[data-test=usable_mm] input", "80").await?;
        maker.click("[data-test=keep-rod]").await?;
        maker.sees("[data-test=rods]", "brass tube").await?;
        maker.fill("[data-test=find-rod] input", "brass tube").await?;
        maker
            .until("that rod alone", || async { Ok(maker.count("[data-test=rods] tbody tr").await? == 1) })
            .await?;
        maker.sees("[data-test=rods]", "7.144").await?;
        maker.click("[data-test=edit-rod]").await?;
        maker.fill("[data-test=diameter_mm] input", "7 mm").await?;
        maker.click("[data-test=keep-rod]").await?;
        maker.gone("[data-test=keep-rod]").await?;
        maker.sees("[data-test=rods] .num", "7").await?;
        maker.click("[data-test=remove-rod]").await?;
        maker.sees("[data-test=no-rods]", "No rod has").await?;
        maker.click("[data-test=undo-notice]").await?;
        maker.sees("[data-test=rods]", "brass tube").await
    })
}

#[test]
fn a_start_set_is_taken_over_once_and_undone() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/tools").await?;
        maker.sees("[data-test=rods]", "drill shank").await?;
        let before = maker.count("[data-test=rods] tbody tr").await?;
        maker.click("[data-test=start-sets]").await?;
        maker.click("[data-set=knitting-needles]").await?;
        // Three of the twenty needles are in the demo workshop already.
        maker.sees("[data-test=notice]", "Added 17 rods").await?;
        maker
            .until("the needles", || async {
                Ok(maker.count("[data-test=rods] tbody tr").await? == before + 17)
            })
            .await?;
        maker.sees("[data-test=rods]", "needle US 8 UK 6").await?;
        maker.click("[data-test=undo-notice]").await?;
        maker
            .until("them gone", || async { Ok(maker.count("[data-test=rods] tbody tr").await? == before) })
            .await
    })
}

#[test]
fn a_blade_is_added_and_offered_in_the_sentence() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/tools").await?;
        maker.click("[data-blade='5/0']").await?;
        maker.sees("[data-test=notice]", "Added the 5/0 blade").await?;
        maker.open("/rings").await?;
        maker.click("[data-slot=blade]").await?;
        maker.sees("[data-test=editor]", "5/0").await?;
        ensure!(maker.count("[data-test=choice]").await? == 6, "the five owned, and the new one");
        Ok(())
    })
}

#[test]
fn the_gauge_table_is_read_both_ways() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/reference").await?;
        maker.fill("[data-test=size] input", "1.2192 mm").await?;
        maker.sees("[data-test=reading]", "= 18 SWG").await?;
        maker.click("[data-system=swg]").await?;
        maker.sees("[data-test=gauge-table] .near", "18").await?;
        maker.fill("[data-test=size] input", "18 ga").await?;
        maker.sees("[data-test=reading]", "Read as AWG").await?;
        maker.fill("[data-test=size] input", "99 awg").await?;
        maker.sees("[data-test=size]", "AWG has no number 99").await?;
        maker.sees("[data-test=metals]", "germanium silver").await
    })
}

/// 440 − 310·e^(−0.928/0.55) = 383 MPa for hard sterling; brass is sold spring hard too.
#[test]
fn how_a_metal_hardens_is_looked_up() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/reference").await?;
        maker.sees("[data-test=hardening-tempers]", "383").await?;
        maker.find("[data-test=hardening] canvas").await?;
        maker.picks("[data-test=hardening-metal]", "brass").await?;
        maker.sees("[data-test=hardening-tempers]", "spring").await
    })
}

#[test]
fn keys_are_listed() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/reference").await?;
        maker.sees("[data-test=gauge-table]", "11.684").await?;
        maker.browser.driver.find(By::Css("body")).await?.send_keys("?").await?;
        maker.sees("[role=dialog]", "Move from word to word in the sentence").await
    })
}

#[test]
fn how_even_the_hand_is_goes_into_the_rings_and_back() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/tools").await?;
        maker.sees("[data-test=hand]", "0.03").await?;
        maker.click("[data-test=edit-hand]").await?;
        maker.fill("[data-test=hand-roundness_mm] input", "wobbly").await?;
        maker.click("[data-test=keep-hand]").await?;
        maker.sees("[data-test=hand-roundness_mm]", "is not a length").await?;
        maker.fill("[data-test=hand-roundness_mm] input", "9").await?;
        maker.click("[data-test=keep-hand]").await?;
        maker.sees("[data-test=hand-roundness_mm]", "2 mm").await?;
        maker.fill("[data-test=hand-roundness_mm] input", "0,4").await?;
        maker.click("[data-test=keep-hand]").await?;
        maker.gone("[data-test=keep-hand]").await?;
        maker.sees("[data-test=hand]", "0.4").await?;
        maker.open("/rings").await?;
        maker.sees("main", "± 0.4").await?;
        maker.open("/tools").await?;
        maker.click("[data-test=edit-hand]").await?;
        maker.fill("[data-test=hand-roundness_mm] input", "").await?;
        maker.click("[data-test=keep-hand]").await?;
        maker.gone("[data-test=keep-hand]").await?;
        maker.sees("[data-test=hand]", "0.03").await
    })
}
