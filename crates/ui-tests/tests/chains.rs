//! Chain: a bracelet planned, its wire changed, looked at backwards, built ring by ring, a weave of one's own, taken away.
use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use thirtyfour::prelude::*;

const PLACING: &str = "[data-test=placing]";

/// The ask line's answer, opened as a chain.
async fn bracelet(maker: &Maker) -> Result<()> {
    maker.open("/today").await?;
    maker.press("/").await?;
    maker.press("18 cm byzantine 1.2 mm red brass 5 mm rod").await?;
    maker.sees("[data-test=answer]", "pre-closed").await?;
    maker.press(Key::Enter + "").await?;
    maker.sees("[data-test=sentence]", "1 chain of 18 cm in Byzantine").await
}

#[test]
fn a_bracelet_is_planned_and_its_wire_changed() -> Result<()> {
    at_the_bench(|maker| async move {
        bracelet(maker).await?;
        maker.click("[data-slot=metal]").await?;
        maker.press("copper").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=sentence]", "copper").await?;
        let rings = maker.text("[data-figure=rings]").await?;
        // Thicker wire: what no longer goes says so, and the drawing of what went stays.
        maker.click("[data-slot=size]").await?;
        maker.press("2 mm").await?;
        maker.sees("body", "at least 3.27").await?;
        maker.press(Key::Escape + "").await?;
        maker.sees("[data-test=sentence]", "1.2 mm").await?;
        ensure!(maker.text("[data-figure=rings]").await? == rings, "the rings of the same chain are others");
        ensure!(maker.count("[data-test=chain-stage] canvas").await? == 1);
        // Seen from all sides, by mouse and by key.
        for from in ["above", "along", "front"] {
            maker.click(&format!("[data-test=from-{from}]")).await?;
        }
        maker.find("[data-test=chain-stage]").await?.send_keys(Key::Right + "").await?;
        maker.click("[data-test=twelve]").await?;
        maker.is_accessible().await
    })
}

#[test]
fn backwards_leads_to_a_rod_and_a_bag_says_how_long() -> Result<()> {
    at_the_bench(|maker| async move {
        bracelet(maker).await?;
        maker.click("[data-test=every-weave]").await?;
        maker.sees("[data-test=scale]", "full Persian").await?;
        maker.click("[data-rod='4.5 mm drill shank']").await?;
        maker.sees("[data-test=sentence]", "4.5 mm drill shank").await?;
        maker.fill("[data-test=bag-inside]", "5 mm").await?;
        maker.fill("[data-test=bag-wire]", "1.2 mm").await?;
        maker.click("[data-test=bag-ask]").await?;
        maker.sees("[data-test=gives]", "from 300 rings").await?;
        maker.sees("[data-test=gives]", "not possible").await?;
        maker.fill("[data-test=bag-inside]", "soup").await?;
        maker.click("[data-test=bag-ask]").await?;
        maker.sees("[data-test=backwards]", "soup").await?;
        // The same rings in another weave.
        maker.click("[data-weave=two-in-two]").await?;
        maker.sees("[data-test=sentence]", "two in two").await?;
        maker.click("[data-test=undo]").await?;
        maker.sees("[data-test=sentence]", "Byzantine").await?;
        maker.is_accessible().await
    })
}

/// Ten rings put in, a reload, the place is held; a lost one is found by counting rows.
#[test]
fn ten_placings_and_back_after_a_reload() -> Result<()> {
    at_the_bench(|maker| async move {
        bracelet(maker).await?;
        maker.click("[data-test=build]").await?;
        maker.sees(PLACING, "Row 1").await?;
        maker.click("[data-test=ring-on]").await?;
        maker.sees(PLACING, "ring 2 of 4").await?;
        maker.click("[data-test=keep]").await?;
        maker.fill("[data-test=plan-name] input", "Reed bracelet").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=kept-as]", "Reed bracelet").await?;
        maker.open("/bench").await?;
        maker.choose("[data-test=piece]", "Reed bracelet").await?;
        maker.fill("[data-test=how-many]", "1").await?;
        maker.press(Key::Enter + "").await?;
        // Rings are wound and cut, some shut, the others opened.
        let shown = "return document.querySelector('main').innerText";
        let press = async |keys: thirtyfour::TypingData| {
            let before = maker.script(shown).await?;
            // What has the focus may just be drawn anew; what was pressed has shown before the next press.
            if maker.press(keys).await.is_ok() {
                maker
                    .until("the press to show", || async { Ok(maker.script(shown).await? != before) })
                    .await?;
            }
            anyhow::Ok(())
        };
        while maker.count(PLACING).await? == 0 {
            press(" ".into()).await?;
        }
        // The first ring is drawn a moment after its step is led: a press in between put it in.
        while !maker.text("[data-test=count]").await?.starts_with("0 of") {
            press(Key::Backspace + "").await?;
        }
        let path = maker.script("return location.pathname").await?;
        let path = path.as_str().context("no path")?.to_owned();
        maker.sees(PLACING, "Row 1").await?;
        for n in 1..=10 {
            maker.press(" ").await?;
            maker.sees("[data-test=count]", &format!("{n} of")).await?;
        }
        maker.sees(PLACING, "Row 3").await?;
        maker.sees(PLACING, "ring 3 of 4").await?;
        maker.open(&path).await?;
        maker.sees("[data-test=count]", "10 of").await?;
        maker.sees(PLACING, "ring 3 of 4").await?;
        // One back, then a whole row.
        maker.press(Key::Backspace + "").await?;
        maker.sees("[data-test=count]", "9 of").await?;
        maker.click("[data-test=row-done]").await?;
        maker.sees("[data-test=count]", "12 of").await?;
        maker.sees(PLACING, "Row 4").await?;
        maker.click("[data-test=lost]").await?;
        maker.fill("[data-test=rows-counted]", "2").await?;
        maker.click("[data-test=found]").await?;
        maker.sees("[data-test=count]", "8 of").await?;
        maker.sees(PLACING, "Row 3").await?;
        maker.is_accessible().await
    })
}

#[test]
fn a_weave_of_ones_own_relaxes_is_kept_and_planned() -> Result<()> {
    at_the_bench(|maker| async move {
        bracelet(maker).await?;
        maker.click("[data-test=own]").await?;
        maker.fill("[data-test=weave-name]", "Reed weave").await?;
        // The link to the next cell is taken out: it hangs together no more, and says so.
        maker.click("[data-ring=B]").await?;
        maker.click("[data-ring='A of the next cell']").await?;
        maker.click("[data-test=relax]").await?;
        maker.sees("[data-test=weave-faults]", "repeats are not linked").await?;
        maker.click("[data-ring=B]").await?;
        maker.click("[data-ring='A of the next cell']").await?;
        maker.click("[data-test=relax]").await?;
        maker.sees("[data-test=relaxed]", "from a ratio of 2.00").await?;
        maker.click("[data-test=keep-weave]").await?;
        maker.sees("body", "Saved the weave “Reed weave”").await?;
        maker.click("[data-test=use-weave]").await?;
        maker.sees("[data-test=sentence]", "Reed weave").await?;
        maker.sees("[data-figure=rings]", "rings in it").await
    })
}

#[test]
fn a_chain_is_taken_away_and_read_back() -> Result<()> {
    at_the_bench(|maker| async move {
        bracelet(maker).await?;
        let rings = maker.text("[data-figure=rings]").await?;
        for (file, ending) in [("chain.json", "chain.json"), ("chain.stl", ".stl"), ("plan.pdf", ".pdf")] {
            maker.click("[data-test=take-away]").await?;
            maker.click(&format!("[data-file='{file}']")).await?;
            let saved = maker.saved(ending).await?;
            if ending == "chain.json" {
                let document: serde_json::Value = serde_json::from_slice(&saved)?;
                ensure!(document["chains"][0]["request"]["weave"] == "byzantine", "{document}");
            }
            if ending == ".pdf" {
                ensure!(saved.starts_with(b"%PDF"), "no PDF");
            }
            if ending == ".stl" {
                let triangles = u32::from_le_bytes(saved[80..84].try_into()?);
                ensure!(triangles % 2560 == 0 && triangles > 0, "{triangles} triangles");
            }
        }
        ensure!(rings.contains("rings in it"), "{rings}");
        Ok(())
    })
}
