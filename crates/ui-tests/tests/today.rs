//! Today: what is asked in a line and done with the answer, what a name leads to, how an empty workshop begins.
use anyhow::{Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench, server::launch_empty};
use rstest::rstest;
use thirtyfour::prelude::*;

const ASK: &str = "[data-test=ask]";

async fn asks(maker: &Maker, line: &str, number: &str) -> Result<()> {
    maker.open("/today").await?;
    maker.fill(ASK, line).await?;
    maker.sees("[data-test=ask-number]", number).await
}

#[test]
fn an_answer_is_started_as_a_batch_in_one_press() -> Result<()> {
    at_the_bench(|maker| async move {
        asks(maker, "24 pairs of ear wires, 20 ga sterling", "44.5 mm").await?;
        maker.is_accessible().await?;
        maker.click("[data-test=ask-batch]").await?;
        maker.sees("[data-test=instruction]", "straight").await?;
        // What was started is saved under the name of what it is.
        maker.open("/saved?find=sterling").await?;
        maker.sees("[data-test=plans]", "Ear wires, sterling silver 0.81 mm").await
    })
}

/// However often it is pressed, an answer is saved once, and what goes on with it goes on with that.
#[test]
fn an_answer_is_saved_once() -> Result<()> {
    at_the_bench(|maker| async move {
        asks(maker, "120 rings 5 mm inside 18 ga copper", "turns").await?;
        maker
            .script("const b = document.querySelector('[data-test=ask-save]'); b.click(); b.click()")
            .await?;
        maker.sees("[data-test=ask-save]", "Saved").await?;
        maker.click("[data-test=ask-batch]").await?;
        maker.find("[data-test=instruction]").await?;
        let saved = "const list = await (await fetch('/api/plans?most=500')).json();\
             return list.entries.filter((one) => one.record.name.startsWith('Rings 5 mm inside')).length";
        let (saved, batches) = (
            maker.script(saved).await?,
            maker.script("return (await (await fetch('/api/batches')).json()).length").await?,
        );
        ensure!(saved == 1 && batches == 1, "{saved} saved, {batches} batches");
        Ok(())
    })
}

/// What is on the desk is begun once, however often it is pressed.
#[test]
fn a_plan_is_begun_once() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.find("[data-test=kept-as]").await?;
        maker
            .script("const b = document.querySelector('[data-test=make-batch]'); b.click(); b.click()")
            .await?;
        maker.find("[data-test=instruction]").await?;
        let batches = maker.script("return (await (await fetch('/api/batches')).json()).length").await?;
        ensure!(batches == 1, "{batches} batches");
        Ok(())
    })
}

/// Where the server is gone, no answer to another line stays under the new one.
#[test]
fn an_answer_goes_with_the_server() -> Result<()> {
    at_the_bench(|maker| async move {
        asks(maker, "120 rings 5 mm inside 18 ga copper", "turns").await?;
        maker.network(0, true).await?;
        maker.fill(ASK, "60 rings 6 mm inside 1 mm brass").await?;
        maker.find("[data-test=ask-silent]").await?;
        maker.gone("[data-test=answer]").await?;
        maker.press(Key::Enter + "").await?;
        maker.network(0, false).await?;
        maker.fill(ASK, "60 rings 6 mm inside 1 mm brass.").await?;
        maker.sees("[data-test=answer]", "60 rings").await?;
        maker.gone("[data-test=ask-silent]").await
    })
}

#[test]
fn an_answer_is_put_on_an_order() -> Result<()> {
    at_the_bench(|maker| async move {
        asks(maker, "120 rings 5 mm inside 18 ga copper", "turns").await?;
        maker.click("[data-test=ask-order]").await?;
        maker.has_chosen("[data-test=order] [data-test=piece]", "Rings 5 mm inside, copper 1.02 mm").await?;
        maker.fill("[data-test=customer]", "Pier choir").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=orders]", "120").await?;
        maker.sees("[data-test=orders]", "Pier choir").await
    })
}

#[test]
fn enter_opens_what_was_typed_last_and_print_hands_over_a_sheet() -> Result<()> {
    at_the_bench(|maker| async move {
        asks(maker, "hook clasp 18 ga brass", "40 mm").await?;
        maker.click("[data-test=ask-print]").await?;
        ensure!(maker.saved("card-a5.pdf").await?.starts_with(b"%PDF"), "no PDF");
        maker.fill(ASK, "60 rings 6 mm inside 1 mm brass").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=sentence]", "60 rings of soft brass").await
    })
}

/// A name leads to what is called so, with an address that opens it again.
#[rstest]
#[case("where is the cloak clasp", "finding: Ferryman", "/findings/piece?saved=", "[data-test=kept-as]")]
#[case("belt chain", "rings: Water sprites, belt chain", "/rings?saved=", "[data-test=kept-as]")]
#[case("wardrobe", "order: ", "/orders?order=", ".named")]
#[case("blue spool", "wire: Blue spool", "/wire?lot=", "[data-test=lot-panel]")]
fn a_name_leads_to_what_is_called_so(
    #[case] line: &'static str,
    #[case] found: &'static str,
    #[case] path: &'static str,
    #[case] there: &'static str,
) -> Result<()> {
    at_the_bench(move |maker| async move {
        maker.open("/today").await?;
        maker.fill(ASK, line).await?;
        maker.sees("[data-test=ask-found]", found).await?;
        maker.click("[data-test=ask-found]").await?;
        maker.find(there).await?;
        let address = maker.browser.driver.current_url().await?;
        ensure!(address.as_str().contains(path), "{address}");
        maker.browser.driver.refresh().await?;
        maker.find(there).await?;
        Ok(())
    })
}

/// An address of something that is not there says so, and loses nothing of what was being worked on.
#[test]
fn an_address_of_nothing_says_so() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings?saved=99999").await?;
        maker.sees("[data-test=notice]", "Nothing is saved under number 99999").await?;
        maker.sees("[data-test=sentence]", "rings").await
    })
}

/// A piece that is not there to be ordered is said, and the line stays empty.
#[test]
fn a_piece_that_is_not_there_is_not_ordered() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/orders?piece=99999&count=3").await?;
        maker.sees("[data-test=notice]", "Saved piece number 99999").await?;
        ensure!(!maker.browser.driver.current_url().await?.as_str().contains("piece"));
        Ok(())
    })
}

#[test]
fn an_empty_workshop_begins_with_its_tools_its_wire_and_a_piece() -> Result<()> {
    at_the_bench(|maker| async move {
        let file = maker.server.folder().join("empty.lorimant");
        let (_server, address) = launch_empty(&file).await?;
        maker.browser.driver.goto(format!("{address}/today")).await?;
        maker.find("[data-test=first-tools]").await?;
        maker.is_accessible().await?;
        maker.click("[data-set=knitting-needles]").await?;
        maker.sees("[data-set=knitting-needles]", "added").await?;
        maker.click("[data-test=skip-wire]").await?;
        maker.gone("[data-test=first-wire]").await?;
        // What is skipped stays away, what is done as well.
        maker.browser.driver.refresh().await?;
        maker.find("[data-test=first-piece]").await?;
        maker.gone("[data-test=first-tools]").await?;
        maker.gone("[data-test=first-wire]").await
    })
}

/// The bench shows the wire at its tool: along the ruler where it is cut, on the jaw where a loop is rolled.
#[test]
fn the_bench_shows_the_wire_at_its_tool() -> Result<()> {
    at_the_bench(|maker| async move {
        asks(maker, "4 pairs of ear wires, 20 ga sterling", "44.5 mm").await?;
        maker.click("[data-test=ask-batch]").await?;
        maker.sees("[data-test=instruction]", "straight").await?;
        for (step, says) in [("cut blank", "44.5 mm"), ("roll loop", "mm")] {
            maker.click(&format!("[data-test=steps] [title='{step}']")).await?;
            maker.sees("[data-test=at-tool]", says).await?;
        }
        Ok(())
    })
}
