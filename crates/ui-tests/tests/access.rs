//! Each view, light and dark, wide and narrow: no serious finding of axe, nothing wider than the screen.
use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use rstest::rstest;
use thirtyfour::prelude::*;

#[rstest]
#[case("/today", "[data-test=next-session]")]
#[case("/rings", "[data-test=figures]")]
#[case("/chains", "[data-test=chain-stage] canvas")]
#[case("/saved", "[data-test=plans]")]
#[case("/findings", "[data-test=ready] svg")]
#[case("/findings/piece?kind=hook-clasp", "[data-test=strip]")]
#[case("/wire", "[data-test=lots] .lot")]
#[case("/wire/choose", "[data-test=candidates] li")]
#[case("/wire/cutting-plan", "[data-test=strip] svg")]
#[case("/wire/cost", "[data-test=cost-each]")]
#[case("/orders", "[data-test=orders]")]
#[case("/orders/schedule", "[data-test=sessions]")]
#[case("/orders/stock", "[data-test=bags] svg")]
#[case("/bench", "[data-test=begin]")]
#[case("/measure", "[data-test=checks]")]
#[case("/measure/79", "[data-test=measured]")]
#[case("/measure/springback", "[data-test=lot-plot] canvas")]
#[case("/measure/practice", "[data-test=begin-drill]")]
#[case("/measure/consistency", "[data-test=own-spread]")]
#[case("/measure/jaws", "[data-test=jaw-wear]")]
#[case("/measure/fix", "[data-test=what-now]")]
#[case("/tools", "[data-test=rods]")]
#[case("/reference", "[data-test=metals]")]
#[case("/help", "[data-test=help]")]
fn a_view_can_be_used_by_everyone(#[case] path: &'static str, #[case] there: &'static str) -> Result<()> {
    at_the_bench(move |maker| async move {
        // A page is laid out a moment after its window has got another size.
        let fits = async || {
            let fit = "return document.documentElement.scrollWidth <= innerWidth";
            maker
                .until(&format!("{path} to fit its window"), || async {
                    Ok(maker.script(fit).await? == true)
                })
                .await
        };
        maker.browser.prefer("light").await?;
        maker.open(path).await?;
        maker.find(there).await?;
        fits().await?;
        maker.is_accessible().await?;
        maker.browser.prefer("dark").await?;
        maker.find(".v-theme--dark").await?;
        maker.is_accessible().await?;
        // A tablet that is turned, and a telephone.
        maker.browser.resize(820, 1180).await?;
        maker.find(there).await?;
        fits().await?;
        maker.browser.resize(390, 844).await?;
        maker.open(path).await?;
        maker.find(there).await?;
        fits().await
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
const DIALOGS: [(&str, &[&str], &str); 13] = [
    ("/rings", &[], "[data-test=keep]"),
    ("/chains", &[], "[data-test=own]"),
    ("/wire", &[], "[data-test=receive]"),
    ("/wire", &[], "[data-test=open-lot]"),
    ("/wire", &[], "[data-test=keeping]"),
    ("/tools", &[], "[data-test=add-rod]"),
    ("/tools", &[], "[data-test=add-plier]"),
    ("/tools", &[], "[data-test=edit-hand]"),
    ("/findings/piece?kind=hook-clasp", &["[data-test=try]"], "[data-test=open-fit]"),
    ("/findings/piece?kind=hook-clasp", &["[data-test=try]"], "[data-test=open-wire]"),
    ("/findings/piece?kind=hook-clasp", &["[data-test=try]"], "[data-test=open-mate]"),
    ("/findings/piece?kind=hook-clasp", &["[data-test=try]"], "[data-test=open-over]"),
    ("/saved", &["[data-test=more]"], "[data-test=rename]"),
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
        maker.sees("[data-test=asking]", "Not saved yet").await?;
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
#[case("/chains", "[data-slot=chains]", 4)]
#[case("/saved", "[data-test=open-plan]", 10)]
#[case("/findings", "[data-kind=open-ear-wire]", 10)]
#[case("/wire", "[data-test=open-lot]", 30)]
#[case("/wire/choose", "[data-test=candidates] button", 14)]
#[case("/wire/cutting-plan", "[data-test=tick]", 40)]
#[case("/measure", "[data-test=check-count]", 8)]
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

/// A list is one stop on the way; arrows and letters walk it, and it is come back to where it was left.
#[test]
fn a_list_is_one_stop_and_walked_by_arrows_and_letters() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/saved").await?;
        maker.find("[data-test=plans] .plan").await?;
        maker.script("document.querySelector('[data-test=open-plan]').focus()").await?;
        let row = "return document.activeElement.closest('.plan')?.querySelector('.name').innerText ?? ''";
        let first = maker.script(row).await?;
        maker.press(Key::Down + "").await?;
        let second = maker.script(row).await?;
        ensure!(second != first && second != "", "{second} after {first}");
        maker.press(Key::End + "").await?;
        let last = maker.script(row).await?;
        maker.press(Key::Home + "").await?;
        ensure!(maker.script(row).await? == first);
        maker.press("fer").await?;
        let found = maker.script(row).await?;
        ensure!(found.as_str().is_some_and(|name| name.starts_with("Fer")), "{found}");
        // Its menu is the next stop, and then the list is behind one.
        maker.press(Key::Tab + "").await?;
        ensure!(maker.script(row).await? == found);
        maker.press(Key::Tab + "").await?;
        ensure!(maker.script(row).await? == "", "the list is more than one stop");
        maker.press(Key::Shift + Key::Tab).await?;
        ensure!(maker.script(row).await? == found && last != found);
        Ok(())
    })
}

#[test]
fn letters_find_a_choice_of_a_word() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.click("[data-slot=temper]").await?;
        maker.find("[data-test=choice]").await?;
        maker.until("a choice in hand", || has_focus(maker, "[data-test=choice].chosen")).await?;
        maker.press("h").await?;
        let text = "return document.activeElement.innerText";
        ensure!(maker.script(text).await?.as_str().is_some_and(|text| text.starts_with('h')));
        maker.press(Key::Enter + "").await?;
        maker.gone("[data-test=editor]").await?;
        maker.sees("[data-test=sentence]", "ha").await
    })
}

/// What is tapped is large enough for a fingertip.
#[rstest]
#[case("/rings")]
#[case("/saved")]
#[case("/findings")]
#[case("/findings/piece?kind=open-ear-wire")]
#[case("/wire")]
#[case("/wire/choose")]
#[case("/wire/cutting-plan")]
#[case("/wire/cost")]
#[case("/today")]
#[case("/orders")]
#[case("/orders/schedule")]
#[case("/orders/stock")]
#[case("/tools")]
#[case("/reference")]
fn what_is_tapped_is_large_enough(#[case] path: &'static str) -> Result<()> {
    at_the_bench(move |maker| async move {
        maker.browser.resize(390, 844).await?;
        maker.open(path).await?;
        maker.find("main button, main a").await?;
        // The reference has its last links once its tables are there.
        if path == "/reference" {
            maker.find("[data-test=hardening]").await?;
        }
        let script = "return [...document.querySelectorAll('button, a[href], input, select, g[tabindex]')]
            .filter((one) => one.checkVisibility({ opacityProperty: true, visibilityProperty: true }))
            .map((one) => [one, one.labels?.[0]].filter(Boolean).map((each) => each.getBoundingClientRect())
                .reduce((a, b) => (a.width * a.height > b.width * b.height ? a : b)))
            .map(({ width, height }, i) => [width, height])
            .filter(([width, height]) => width > 2 && (width < 24 || height < 24))";
        let small = maker.script(script).await?;
        ensure!(small == serde_json::json!([]), "too small on {path}: {small}");
        Ok(())
    })
}

/// A bookmark of an earlier version leads to where its view is now, with what it asked for.
#[test]
fn addresses_of_earlier_versions_lead_on() -> Result<()> {
    at_the_bench(|maker| async move {
        for (then, now) in [
            ("/check/lots?lot=62", "/measure/springback?lot=62"),
            ("/check/79", "/measure/79"),
            ("/orders/sittings", "/orders/schedule"),
        ] {
            maker.open(then).await?;
            let there = "return location.pathname + location.search";
            maker.until(now, || async { Ok(maker.script(there).await? == now) }).await?;
        }
        // What kind it begins with is taken from the address once.
        maker.open("/patterns/room?kind=hook-clasp").await?;
        maker.sees("[data-test=sentence]", "hook clasp").await?;
        ensure!(maker.script("return location.pathname").await? == "/findings/piece");
        Ok(())
    })
}
