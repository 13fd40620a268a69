//! Each view, light and dark, wide and narrow: no serious finding of axe, nothing wider than the screen.
#![allow(missing_docs)]

use anyhow::{Result, ensure};
use lorimant_ui_tests::at_the_bench;
use rstest::rstest;

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
