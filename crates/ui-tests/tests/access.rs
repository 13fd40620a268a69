//! Each view, light and dark, wide and narrow: no serious finding of axe, nothing wider than the screen.
#![allow(missing_docs)]

use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use rstest::rstest;
use thirtyfour::prelude::*;

#[rstest]
#[case("/rings", "[data-test=figures]")]
#[case("/kept", "[data-test=plans]")]
#[case("/patterns", "[data-test=ready] svg")]
#[case("/patterns/room?kind=hook-clasp", "[data-test=strip]")]
#[case("/rack", "[data-test=lots] .lot")]
#[case("/rack/choose", "[data-test=candidates] li")]
#[case("/rack/cut", "[data-test=strip] svg")]
#[case("/rack/cost", "[data-test=cost-each]")]
#[case("/tools", "[data-test=rods]")]
#[case("/guide", "[data-test=metals]")]
fn a_view_can_be_used_by_everyone(#[case] path: &'static str, #[case] there: &'static str) -> Result<()> {
    at_the_bench(move |maker| async move {
        for scheme in ["light", "dark"] {
            maker.browser.prefer(scheme).await?;
            maker.open(path).await?;
            maker.find(there).await?;
            maker.is_accessible().await?;
        }
        for (width, height) in [(1280, 800), (820, 1180), (390, 844)] {
            maker.browser.resize(width, height).await?;
            maker.open(path).await?;
            maker.find(there).await?;
            let over = maker.script("return document.documentElement.scrollWidth - innerWidth").await?;
            ensure!(over.as_i64().is_some_and(|over| over <= 0), "{path} is {over} px too wide at {width}");
        }
        Ok(())
    })
}

#[test]
fn an_open_editor_can_be_used_by_everyone() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.click("[data-slot=inside]").await?;
        maker.find("[data-test=candidate]").await?;
        maker.is_accessible().await?;
        maker.click("[data-figure=ring-inside]").await?;
        Ok(())
    })
}

/// What opens each dialog: the view, what is clicked on the way, what opens it.
const DIALOGS: [(&str, &[&str], &str); 12] = [
    ("/rings", &[], "[data-test=keep]"),
    ("/rack", &[], "[data-test=receive]"),
    ("/rack", &[], "[data-test=open-lot]"),
    ("/rack", &[], "[data-test=keeping]"),
    ("/tools", &[], "[data-test=add-rod]"),
    ("/tools", &[], "[data-test=add-plier]"),
    ("/tools", &[], "[data-test=edit-hand]"),
    ("/patterns/room?kind=hook-clasp", &["[data-test=try]"], "[data-test=open-fit]"),
    ("/patterns/room?kind=hook-clasp", &["[data-test=try]"], "[data-test=open-wire]"),
    ("/patterns/room?kind=hook-clasp", &["[data-test=try]"], "[data-test=open-mate]"),
    ("/patterns/room?kind=hook-clasp", &["[data-test=try]"], "[data-test=open-over]"),
    ("/kept", &["[data-test=more]"], "[data-test=rename]"),
];

/// Whether the focus is on what a selector finds, or within it.
async fn has_focus(maker: &Maker, css: &str) -> Result<bool> {
    let script = format!("return !!document.activeElement.closest('{css}')");
    Ok(maker.script(&script).await?.as_bool() == Some(true))
}

#[test]
fn every_dialog_can_be_used_by_everyone_and_gives_the_focus_back() -> Result<()> {
    at_the_bench(|maker| async move {
        for (path, way, opener) in DIALOGS {
            maker.open(path).await?;
            for css in way {
                maker.click(css).await?;
            }
            maker.click(opener).await?;
            maker.find("[role=dialog] .paper").await?;
            // Half faded in, colours are not what they will be.
            let faded = "const one = document.querySelector('.v-overlay__content:has(.paper)');
                return getComputedStyle(one).opacity === '1' && one.getAnimations().length === 0";
            maker
                .until("it to be there", || async { Ok(maker.script(faded).await?.as_bool() == Some(true)) })
                .await?;
            maker.is_accessible().await.with_context(|| format!("{opener} on {path}"))?;
            maker.press(Key::Escape + "").await?;
            maker.gone("[role=dialog] .paper").await?;
            // What stood in a menu is gone with it: then its menu's button has the focus.
            let back = way.first().copied().unwrap_or(opener);
            maker
                .until(&format!("the focus at {back} on {path}"), || async {
                    Ok(has_focus(maker, back).await? || has_focus(maker, opener).await?)
                })
                .await?;
        }
        Ok(())
    })
}

#[test]
fn escape_asks_before_it_throws_typed_work_away() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/tools").await?;
        maker.click("[data-test=add-rod]").await?;
        maker.fill("[data-test=rod-name] input", "grey dowel").await?;
        maker.press(Key::Escape + "").await?;
        maker.sees("[data-test=asking]", "not kept yet").await?;
        maker.fill("[data-test=diameter_mm] input", "7 mm").await?;
        maker.gone("[data-test=asking]").await?;
        maker.press(Key::Escape + "").await?;
        maker.press(Key::Escape + "").await?;
        maker.gone("[role=dialog] .paper").await
    })
}

/// From the top of a view to what it is for, by the skip link and Tab.
#[rstest]
#[case("/rings", "[data-slot=rings]", 4)]
#[case("/kept", "[data-test=open-plan]", 10)]
#[case("/patterns", "[data-kind=open-ear-wire]", 10)]
#[case("/rack", "[data-test=open-lot]", 30)]
#[case("/rack/choose", "[data-test=candidates] button", 14)]
#[case("/rack/cut", "[data-test=tick]", 40)]
#[case("/tools", "[data-test=rods] button", 8)]
fn the_work_is_a_few_stops_away(
    #[case] path: &'static str,
    #[case] there: &'static str,
    #[case] most: usize,
) -> Result<()> {
    at_the_bench(move |maker| async move {
        maker.open(path).await?;
        maker.find(there).await?;
        maker.script("document.activeElement.blur(); scrollTo(0, 0)").await?;
        maker.press(Key::Tab + "").await?;
        maker.press(Key::Enter + "").await?;
        for stop in 0..=most {
            if has_focus(maker, there).await? {
                return Ok(());
            }
            ensure!(stop < most, "{there} is more than {most} stops from the top of {path}");
            maker.press(Key::Tab + "").await?;
        }
        Ok(())
    })
}
