//! The rack: receiving, booking, weighing, choosing a wire, cutting, what it costs; in and out.
use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use rstest::rstest;
use thirtyfour::prelude::*;

const NOTICE: &str = "[data-test=notice]";

/// Opens the lot that has this name on its tag.
async fn open_lot(maker: &Maker, name: &str) -> Result<()> {
    maker.fill("[data-test=find-lot] input", name).await?;
    maker.until("one lot", || async { Ok(maker.count("[data-test=lot]").await? == 1) }).await?;
    maker.sees("[data-test=lot]", name).await?;
    maker.click("[data-test=open-lot]").await?;
    maker.find("[data-test=ledger]").await?;
    Ok(())
}

#[test]
fn a_spool_is_received_from_a_shops_line_and_that_is_undone() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire").await?;
        maker.find("[data-test=lots]").await?;
        maker.click("[data-test=receive]").await?;
        maker.fill("[data-test=listing] input", ".925 HH sq 20ga 5ft 14.80").await?;
        maker.sees("[data-test=listing-says]", "a metre").await?;
        maker.sees("[data-test=listing-says]", "Gauge 20 in which system").await?;
        maker.choose("[data-test=piece]", "Water sprites, ear wires").await?;
        // 54.5 mm and a sliver at 14.80 for 1.524 m.
        maker.sees("[data-test=per-piece]", "0.53").await?;
        maker.has_chosen("[data-test=lot-metal] select", "sterling silver").await?;
        maker.has_chosen("[data-test=lot-temper] select", "half-hard").await?;
        // Without a tag it is not taken, and what was filled in stays.
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[data-test=lot-name]", "1 to 60 characters").await?;
        maker.fill("[data-test=lot-name] input", "Square silver").await?;
        // It was bought on a day that has been, which is said where its year is not typed.
        let bought = "[data-test=lot-bought-on] input";
        maker.fill(bought, "tomorrow").await?;
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[data-test=lot-bought-on]", "is in the future").await?;
        maker.fill(bought, "yesterday").await?;
        maker.sees("[data-test=bought-told]", "day ").await?;
        maker.fill("[data-test=lot-name] input", "Square silver").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(NOTICE, "added to stock").await?;
        maker.fill("[data-test=find-lot] input", "square silver").await?;
        maker.sees("[data-test=lot]", "1.52 m").await?;
        maker.sees("[data-test=lot]", "14.80").await?;
        maker.click("[data-test=undo-notice]").await?;
        maker.sees("[data-test=no-lots]", "No wire matches").await
    })
}

#[test]
fn what_is_typed_wrong_is_said_at_its_field_and_nothing_is_lost() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire").await?;
        maker.click("[data-test=receive]").await?;
        maker.fill("[data-test=lot-name] input", "Wrong").await?;
        maker.fill("[data-test=lot-size] input", "thick").await?;
        maker.fill("[data-test=lot-price] input", "cheap").await?;
        maker.fill("[data-test=lot-tare] input", "light").await?;
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[data-test=lot-metal]", "Choose the metal").await?;
        maker.sees("[data-test=lot-size]", "thick").await?;
        maker.sees("[data-test=lot-price]", "is not a valid amount of money").await?;
        maker.sees("[data-test=lot-tare]", "is not a valid weight").await?;
        maker.fill("[data-test=listing] input", "copper round 1 mm").await?;
        maker.has_chosen("[data-test=lot-metal] select", "copper").await?;
        maker.fill("[data-test=lot-price] input", "1,250").await?;
        maker.fill("[data-test=lot-tare] input", "12").await?;
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[data-test=lot-price]", "could be 1.25 or 1250").await?;
        maker.fill("[data-test=lot-price] input", "3.20").await?;
        maker.fill("[data-test=lot-tare] input", "12").await?;
        maker.fill("[data-test=lot-amount] input", "lots").await?;
        maker.click("[data-test=keep-lot]").await?;
        maker.sees("[data-test=lot-amount]", "lots").await?;
        let name = maker.find("[data-test=lot-name] input").await?.value().await?;
        ensure!(name.as_deref() == Some("Wrong"), "{name:?}");
        maker.is_accessible().await
    })
}

#[test]
fn a_lot_is_booked_reversed_weighed_and_a_rest_set_aside() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire").await?;
        open_lot(maker, "Silver, new in October").await?;
        maker.sees("[data-test=left]", "5.00 m").await?;
        maker.click("[data-test=do-book]").await?;
        maker.fill("[data-test=movement-amount] input", "9 m").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=movement-amount]", "5000 mm are left").await?;
        maker.fill("[data-test=movement-amount] input", "120 mm").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=left]", "4.88 m").await?;
        maker.sees("[data-test=ledger] tbody tr", "tried").await?;
        maker.click("[data-test=reverse]").await?;
        maker.sees("[data-test=left]", "5.00 m").await?;
        maker.sees("[data-test=ledger] tbody tr", "reversed: tried").await?;

        maker.click("[data-test=do-weigh]").await?;
        maker.fill("[data-test=weight] input", "12 stone").await?;
        maker.press(Key::Tab + "").await?;
        maker
            .sees("[data-test=weight]", "is not a unit of weight. Use g, kg, mg, oz, ozt, dwt, gr, ct or lb")
            .await?;
        // A scale that types: its line and Enter only look, and nothing is booked yet.
        maker.fill("[data-test=weight] input", "+ 60.2 g").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=weighed]", "60.2 g less").await?;
        maker.sees("[data-test=left]", "5.00 m").await?;
        maker.click("[data-test=read-scale]").await?;
        maker.sees("[data-test=weighed]", "for the spool is").await?;
        maker.is_accessible().await?;
        maker.click("[data-test=book-weight]").await?;
        maker.sees("[data-test=ledger] tbody tr", "weighed:").await?;
        maker.click("[data-test=undo-notice]").await?;
        maker.sees("[data-test=left]", "5.00 m").await?;

        maker.click("[data-test=do-aside]").await?;
        maker.fill("[data-test=aside-length] input", "300 mm").await?;
        maker.fill("[data-test=aside-name] input", "October rest").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=left]", "4.70 m").await?;
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=lot-panel]").await?;
        maker.fill("[data-test=find-lot] input", "October rest").await?;
        maker.sees("[data-test=lot]", "300 mm").await
    })
}

#[test]
fn what_is_picked_is_planned_ticked_off_booked_and_put_back() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire/cutting-plan").await?;
        maker.sees("[data-test=wire-plan]", "Water sprites, ear wires").await?;
        maker.sees("[data-test=strip]", "Flush the end").await?;
        // Each wire has its own plan, worked out by itself.
        let unplanned = "[data-test=wire-plan]:not(:has([data-test=strip])):not(:has([data-test=short]))";
        maker.gone(unplanned).await?;
        let strips = maker.count("[data-test=strip]").await?;
        maker.sees("main", "48 blanks of 54.5").await?;
        // By keyboard: the tick, then on to the button.
        maker.script("document.querySelector('[data-test=tick] input').focus()").await?;
        maker.press(Key::Space + "").await?;
        maker.click("[data-test=plan-pdf]").await?;
        ensure!(maker.saved("cut-plan.pdf").await?.starts_with(b"%PDF"), "no PDF");
        maker.click("[data-test=plan-csv]").await?;
        let table = String::from_utf8(maker.saved("cut-plan.csv").await?)?;
        ensure!(table.contains("Grey spool"), "{table}");
        maker.click("[data-test=book-cuts]").await?;
        maker.sees(NOTICE, "blanks from one lot").await?;
        maker
            .until("the strip to be done", || async {
                Ok(maker.count("[data-test=strip]").await? == strips - 1)
            })
            .await?;
        // What was cut from it is no longer wanted.
        maker.sees("main", "42 blanks of 54.5").await?;
        maker.click("[data-test=undo-notice]").await?;
        maker
            .until("the strip to be back", || async { Ok(maker.count("[data-test=strip]").await? == strips) })
            .await?;
        maker.sees("main", "48 blanks of 54.5").await?;
        maker.sees("[data-test=wire-plan]", "Water sprites, ear wires").await
    })
}

#[test]
fn the_list_is_changed_and_what_is_short_is_said() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/saved").await?;
        maker.fill("[data-test=find] input", "Lantern").await?;
        maker.until("one plan", || async { Ok(maker.count("[data-test=plans] .plan").await? == 1) }).await?;
        maker.click("[data-test=more]").await?;
        maker.click("[data-test=pick]").await?;
        maker.sees(NOTICE, "Added “Lantern bearers, oval links”").await?;
        maker.open("/wire/cutting-plan").await?;
        maker.until("five picks", || async { Ok(maker.count("[data-test=pick-count]").await? == 5) }).await?;
        maker.click("[data-test=drop-pick]").await?;
        maker.until("four picks", || async { Ok(maker.count("[data-test=pick-count]").await? == 4) }).await?;
        maker.choose("[data-test=piece]", "Water sprites, ear wires").await?;
        maker.click("[data-test=pick-it]").await?;
        maker.sees(NOTICE, "Added “Water sprites, ear wires”").await?;
        maker.until("five picks", || async { Ok(maker.count("[data-test=pick-count]").await? == 5) }).await?;
        maker.fill("[data-test=pick-count]", "4000").await?;
        maker.press(Key::Tab + "").await?;
        maker.sees("[data-test=short]", "short").await?;
        maker.fill("[data-test=pick-count]", "0").await?;
        maker.press(Key::Tab + "").await?;
        maker.sees("[data-test=pick-fault]", "Enter 1 to 100000").await?;
        for left in (0..5).rev() {
            maker.click("[data-test=drop-pick]").await?;
            maker
                .until("one fewer", || async { Ok(maker.count("[data-test=pick-count]").await? == left) })
                .await?;
        }
        // What is ordered is still to be cut, at the Bench.
        maker.sees("[data-test=at-the-bench]", "Water sprites, ear wires · order").await
    })
}

#[test]
fn a_wire_is_chosen_for_a_piece_compared_and_taken_to_its_desk() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire/choose").await?;
        maker.choose("[data-test=piece]", "Water sprites, ear wires").await?;
        maker.sees("[data-test=candidates]", "Opens at about").await?;
        maker.find("[data-test=hold-plot] canvas").await?;
        maker.click("[data-test=conditions]").await?;
        maker.choose("[data-test=joined]", "fused").await?;
        maker.sees("[data-test=candidates] h2", "germanium silver").await?;
        maker.choose("[data-test=joined]", "not joined").await?;
        maker.fill("[data-test=bears]", "much").await?;
        maker.sees("[role=alert]", "not a valid load").await?;
        maker.fill("[data-test=bears]", "1,5").await?;
        maker.until("two to compare", || async { Ok(maker.count("[data-test=compare]").await? > 3) }).await?;
        for nth in [1, 2, 4] {
            maker.click(&format!("[data-test=candidates] li:nth-child({nth}) [data-test=compare]")).await?;
        }
        maker.sees("[data-test=compared]", "Springs back").await?;
        maker.is_accessible().await?;
        let heading = maker.text("[data-test=candidates] li:nth-child(2) h2").await?;
        let metal = heading.split(',').next().context("no wire")?.trim().to_owned();
        maker.click("[data-test=candidates] li:nth-child(2) [data-test=use-candidate]").await?;
        maker.sees("[data-test=sentence]", &metal).await
    })
}

/// No piece is thought of yet: what wire is for sets the words of the question, each of which can be changed.
/// The wires that the ask line names first are those that stand first on the page it opens.
#[rstest]
#[case::a_use("which wire for sensitive ears", "titanium", "?use=sensitive-ears")]
#[case::a_piece("which wire for hook clasps", "", "")]
fn wire_is_asked_for_in_one_line(
    #[case] line: &'static str,
    #[case] metal: &'static str,
    #[case] search: &'static str,
) -> Result<()> {
    at_the_bench(move |maker| async move {
        maker.open("/today").await?;
        maker.press("/").await?;
        maker.press(line).await?;
        maker.sees("[data-test=best-wires] li:nth-child(3)", "Strong enough").await?;
        let first =
            "return [...document.querySelectorAll('[data-test=best-wires] b')].map((one) => one.innerText)";
        let told = maker.script(first).await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=candidates] li:nth-child(1) h2", metal).await?;
        let heads = "return [...document.querySelectorAll('[data-test=candidates] h2')].slice(0, 3)
            .map((one) => one.childNodes[1].textContent.trim())";
        maker.until("the same wires", || async { Ok(maker.script(heads).await? == told) }).await?;
        ensure!(maker.script("return location.search").await? == search);
        Ok(())
    })
}

/// A use stands in the address: it is there after a reload, until another piece is chosen.
#[test]
fn a_use_stands_in_the_address() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire/choose?use=sensitive-ears").await?;
        maker.sees("[data-test=candidates] li:nth-child(1) h2", "titanium").await?;
        maker.browser.driver.refresh().await?;
        maker.sees("[data-test=candidates] li:nth-child(1) h2", "titanium").await?;
        for (chosen, search) in [("practice", "?use=practice"), ("Water sprites, ear wires", "")] {
            maker.choose("[data-test=piece]", chosen).await?;
            maker
                .until("the choice in the address", || async {
                    Ok(maker.script("return location.search").await? == search)
                })
                .await?;
        }
        Ok(())
    })
}

#[test]
fn a_wire_is_chosen_for_a_use() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire/choose").await?;
        maker.choose("[data-test=piece]", "beads with a fine hole").await?;
        maker.sees("[data-test=candidates]", "Goes through a hole of 0.7 mm").await?;
        maker.fill("[data-test=hole]", "0.5 mm").await?;
        maker.sees("[data-test=candidates]", "Goes through a hole of 0.5 mm").await?;
        maker.fill("[data-test=hole]", "wide").await?;
        maker.sees("[role=alert]", "wide").await?;
        // What was typed stays, whatever is chosen then.
        maker.fill("[data-test=hole]", "").await?;
        maker.fill("[data-test=bears]", "30 g").await?;
        maker.choose("[data-test=piece]", "ear wires for sensitive ears").await?;
        maker.sees("[data-test=candidates] li:nth-child(1) h2", "titanium").await?;
        maker.choose("[data-test=matters]", "a silver look").await?;
        maker.sees("[data-test=candidates] li:nth-child(1) h2", "silver").await?;
        ensure!(maker.count("[data-test=sensitive] input:checked").await? == 1, "not for sensitive ears");
        let bears = maker.find("[data-test=bears]").await?.prop("value").await?;
        ensure!(bears.as_deref() == Some("30 g"), "{bears:?}");
        // What a use asked for goes with it.
        maker.choose("[data-test=piece]", "Water sprites, ear wires").await?;
        maker.sees("[data-test=candidates]", "Opens at about").await?;
        ensure!(maker.count("[data-test=sensitive] input:checked").await? == 0, "still for sensitive ears");
        maker.is_accessible().await
    })
}

#[test]
fn what_a_piece_costs_is_set_against_buying_it() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire/cost").await?;
        maker.choose("[data-test=piece]", "Water sprites, ear wires").await?;
        // The minutes of its route stand there to start from.
        let minutes = maker.find("[data-test=cost-minutes] input").await?.prop("value").await?;
        ensure!(
            minutes.as_deref().is_some_and(|text| text.parse::<f64>().is_ok_and(|n| n > 1.0)),
            "{minutes:?}"
        );
        maker.fill("[data-test=cost-minutes] input", "5").await?;
        maker.fill("[data-test=cost-setting_up_minutes] input", "30").await?;
        maker.fill("[data-test=cost-bought] input", "8.00").await?;
        maker.sees("[data-test=verdict]", "Making pays from").await?;
        // Five minutes at 24 an hour are 2.00, half an hour over 48 is 0.25, and 54.99 mm · 1.05 at 13.70 is 0.79.
        maker.sees("[data-test=cost-each]", "3.04").await?;
        maker.fill("[data-test=cost-bought] input", "0,40").await?;
        maker.sees("[data-test=verdict]", "is never cheaper to make at this rate").await?;
        maker.fill("[data-test=cost-minutes] input", "-3").await?;
        maker.sees("[data-test=cost-minutes]", "negative").await?;
        maker.fill("[data-test=cost-minutes] input", "quick").await?;
        maker.sees("[data-test=cost-minutes]", "is not a valid time").await?;
        maker.sees("[data-test=old]", "previous").await?;
        maker.is_accessible().await
    })
}

#[test]
fn lots_go_out_and_come_in_after_a_look() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire").await?;
        maker.find("[data-test=lots]").await?;
        maker.click("[data-test=rack-files]").await?;
        maker.click("[data-test='lots.csv']").await?;
        let table = String::from_utf8(maker.saved("lorimant-lots.csv").await?)?;
        ensure!(table.contains("Blue spool"), "{table}");
        let folder = tempfile::tempdir()?;
        let chooser = maker.browser.driver.find(By::Css("[data-test=rack-file]")).await?;
        let wrong = folder.path().join("wrong.csv");
        std::fs::write(&wrong, "name,metal,size_mm,length_mm\nGood,brass,1.6,1000\nBad,coper,1,5\n")?;
        chooser.send_keys(wrong.to_str().context("a path")?).await?;
        maker.sees("[data-test=preview]", "1 of 2 cannot be imported").await?;
        maker.sees("[data-test=preview]", "Did you mean “copper”").await?;
        let open = maker.find("[data-test=bring-in]").await?.is_enabled().await?;
        ensure!(!open, "a wrong file can be imported");
        maker.press(Key::Escape + "").await?;
        maker.gone("[data-test=preview]").await?;
        let good = folder.path().join("good.csv");
        std::fs::write(
            &good,
            "name,metal,size_mm,length_mm\nGood brass,brass,1.6,1000\nGood copper,copper,1,5000\n",
        )?;
        chooser.send_keys(good.to_str().context("a path")?).await?;
        maker.sees("[data-test=preview]", "2 records").await?;
        maker.click("[data-test=bring-in]").await?;
        maker.sees(NOTICE, "Imported 2 records").await?;
        maker.fill("[data-test=find-lot] input", "good").await?;
        maker.until("two lots", || async { Ok(maker.count("[data-test=lot]").await? == 2) }).await?;
        maker.click("[data-test=undo-notice]").await?;
        maker.find("[data-test=no-lots]").await?;
        Ok(())
    })
}

#[test]
fn the_rack_is_filtered_and_how_a_wire_is_kept_makes_the_buying_list() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire").await?;
        maker.sees("[data-test=low]", "short").await?;
        maker.sees("[data-test=buying-list]", "half-hard copper").await?;
        maker.click("[data-test=filter-metal]").await?;
        maker.until("brass alone", || async { Ok(maker.count("[data-test=lot]").await? == 4) }).await?;
        maker.fill("[data-test=holds]", "320 mm").await?;
        maker.press(Key::Tab + "").await?;
        maker.until("those long enough", || async { Ok(maker.count("[data-test=lot]").await? == 3) }).await?;
        maker.sees("[data-test=lot]", "Brass straights 1").await?;
        maker.fill("[data-test=holds]", "a bit").await?;
        maker.press(Key::Tab + "").await?;
        maker.sees("[data-test=holds-fault]", "a bit").await?;
        maker.fill("[data-test=holds]", "").await?;
        maker.press(Key::Tab + "").await?;
        maker.until("all brass", || async { Ok(maker.count("[data-test=lot]").await? == 4) }).await?;
        maker.click("[data-test=keeping]").await?;
        maker.fill("[data-test=keep-length] input", "plenty").await?;
        maker.click("[data-test=keep-keeping]").await?;
        maker.sees("[data-test=keep-length]", "plenty").await?;
        maker.fill("[data-test=keep-length] input", "60 m").await?;
        maker.press(Key::Enter + "").await?;
        // 16.75 m are there, 1.69 m picked: 44.94 m are missing, two packs of 25 m.
        maker.sees("[data-test=buying-list]", "2 × 25.00 m").await?;
        maker.click("[data-test=undo-notice]").await?;
        maker
            .until("the list to forget it", || async {
                Ok(!maker.text("[data-test=buying-list]").await?.contains("2 × 25.00 m"))
            })
            .await
    })
}

#[test]
fn scrap_is_put_on_its_pile_and_priced_from_the_feed() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire").await?;
        maker.sees("[data-test=scrap]", "14.62 g").await?;
        maker.click("[data-test=add-scrap]").await?;
        maker.fill("[data-test=scrap-mass] input", "some").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=scrap-mass]", "not a valid weight").await?;
        maker.fill("[data-test=scrap-mass] input", "8").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=scrap]", "220.0 g").await?;
        maker.click("[data-test=undo-notice]").await?;
        maker.sees("[data-test=scrap]", "212.0 g").await?;
        maker.click("[data-test=prices]").await?;
        maker.click("[data-test=from-feed]").await?;
        maker.fill("[data-test=currency] input", "crowns").await?;
        maker.click("[data-test=keep-prices]").await?;
        maker.sees("[data-test=scrap]", "crowns").await
    })
}

#[test]
fn an_empty_rack_says_how_to_begin() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/wire").await?;
        maker.find("[data-test=lots]").await?;
        let script = "return (async () => {
            for (;;) {
                const { lots } = await (await fetch('/api/lots')).json();
                if (!lots.length) return true;
                for (const { id, revision } of lots) await fetch(`/api/lots/${id}/archive`, {
                    method: 'POST', headers: { 'content-type': 'application/json' },
                    body: JSON.stringify({ revision, archived: true }),
                });
            }
        })()";
        maker.script(script).await?;
        maker.browser.driver.refresh().await?;
        maker.sees("[data-test=no-lots]", "No wire yet. Add a spool: paste the shop’s listing, or enter what it is. From then on you see what is left of it").await
    })
}
