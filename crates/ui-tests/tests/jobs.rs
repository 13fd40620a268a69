//! A week's jobs of somebody who has never seen the program: each in at most three decisions from Today, on a desk and on a
//! telephone; what is typed is typed without a mouse.
use anyhow::{Result, bail, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use rstest::rstest;
use thirtyfour::prelude::*;

/// One thing that is decided.
#[derive(Clone, Copy)]
enum Decision {
    /// Something is typed into the ask line, reached by its key.
    Ask(&'static str),
    /// What is asked for is opened, by Enter.
    Enter,
    /// Something is pressed.
    Press(&'static str),
    /// Something is reached by Tab and pressed by Enter.
    Reach(&'static str),
}
use Decision::{Ask, Enter, Press, Reach};

async fn decide(maker: &Maker, decision: Decision) -> Result<()> {
    match decision {
        Ask(line) => {
            maker.press("/").await?;
            let asked = "return document.activeElement?.dataset.test === 'ask'";
            maker.until("the ask line", || async { Ok(maker.script(asked).await? == true) }).await?;
            maker.press(line).await
        }
        Enter => maker.press(Key::Enter + "").await,
        Press(css) => maker.click(css).await,
        Reach(css) => {
            maker.find(css).await?;
            let here = format!("return !!document.activeElement?.closest({})", serde_json::json!(css));
            for _ in 0..20 {
                maker.press(Key::Tab + "").await?;
                if maker.script(&here).await? == true {
                    return maker.press(Key::Enter + "").await;
                }
            }
            bail!("{css} is not among the first twenty stops")
        }
    }
}

#[rstest]
#[case::cut_list_for_ear_wires(&[Ask("24 pairs of ear wires, 20 ga sterling")], "[data-test=ask-number]", "44.5 mm")]
#[case::rings_from_my_rods(&[Ask("100 rings 5 mm inside 18 ga copper")], "[data-test=answer]", "5 mm drill shank")]
#[case::what_a_piece_of_wire_makes(&[Ask("what can I make with 2 ft of 20 ga copper")], "[data-test=answer]", "ear wires")]
#[case::a_byzantine_bracelet(&[Ask("18 cm byzantine 18 ga copper 5 mm inside"), Enter], "[data-test=sentence]", "Byzantine")]
#[case::cracked_wire(&[Ask("my wire cracked"), Enter], "main", "Fix a problem")]
#[case::a_lost_earring(&[Ask("lost one earring"), Enter], "[data-test=single-long]", "")]
#[case::a_price(&[Ask("cost of 24 pairs hooks 20 ga sterling"), Enter], "[data-test=cost-sentence]", "")]
#[case::a_strong_clasp(&[Ask("which wire for a hook clasp"), Enter], "[data-test=candidates]", "Strong enough")]
#[case::an_order_due_friday(&[Reach("nav a[href='/orders']")], "[data-test=order]", "due")]
#[case::what_to_buy(&[Reach("nav a[href='/wire']")], "[data-test=buying-list]", "short")]
#[case::a_spool_comes_in(&[Press("nav a[href='/wire']"), Press("[data-test=receive]")], "[data-test=listing]", "")]
#[case::the_evenings_plan(&[Press("nav a[href='/orders']"), Press("a[href='/orders/schedule']")], "[data-test=sessions]", "Water sprites")]
#[case::a_batch_in_which_some_are_scrapped(&[Press("nav a[href='/orders']"), Press("[data-test=begin-line]")], "[data-test=scrap-one]", "Scrap one")]
#[case::a_label(&[Press("nav a[href='/orders']"), Press("a[href='/orders/stock']")], "[data-test=bags]", "")]
#[case::the_same_again_from_a_bag(&[Press("nav a[href='/orders']"), Press("a[href='/orders/stock']"), Press("[data-test=make-again]")], "[data-test=count-n]", "")]
#[case::measured_5_2_for_5(&[Press("nav a[href='/measure']")], "[data-test=begin-check]", "")]
#[case::what_to_cut_from(&[Press("nav a[href='/wire']"), Press("a[href='/wire/cutting-plan']")], "[data-test=wire-plan]", "")]
#[case::how_a_spool_springs(&[Press("nav a[href='/measure']"), Press("a[href='/measure/springback']")], "[data-test=lot-known]", "")]
#[case::to_another_computer(&[Press("[data-test=settings]")], "[data-test=back-up]", "")]
#[case::inches(&[Press("[data-test=settings]"), Press("[data-choice=inch]")], "[data-choice=inch] input:checked", "")]
fn a_job_takes_three_decisions_at_most(
    #[case] decisions: &'static [Decision],
    #[case] at: &'static str,
    #[case] says: &'static str,
    #[values((1280, 800), (390, 844))] size: (u32, u32),
) -> Result<()> {
    ensure!(decisions.len() <= 3, "{} decisions", decisions.len());
    at_the_bench(move |maker| async move {
        maker.browser.resize(size.0, size.1).await?;
        maker.open("/today").await?;
        maker.find("[data-test=ask]").await?;
        for decision in decisions {
            // What was asked is answered before it is opened.
            if matches!(decision, Enter) {
                maker.find("[data-test=answer]").await?;
            }
            decide(maker, *decision).await?;
        }
        if says.is_empty() { maker.find(at).await.map(|_| ()) } else { maker.sees(at, says).await }
    })
}
