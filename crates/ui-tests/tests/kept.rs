//! Keeping plans, finding them again, taking them away and bringing them back.
use std::time::{Duration, Instant};

use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::client::{answer, connect};
use lorimant_ui_tests::{Maker, at_the_bench};
use serde_json::json;
use thirtyfour::prelude::*;

const SENTENCE: &str = "[data-test=sentence]";
const KEPT_AS: &str = "[data-test=kept-as]";

async fn keep_sixty_brass_rings(maker: &Maker) -> Result<()> {
    maker.open("/rings").await?;
    maker.sees(SENTENCE, "120 rings").await?;
    maker.fill("[data-test=ask]", "60 rings 4.5 mm inside brass 20 awg half-hard").await?;
    maker.sees("[data-test=answer]", "60 rings of").await?;
    maker.press(Key::Enter + "").await?;
    maker.sees(SENTENCE, "60 rings of half-hard brass").await?;
    maker.press(Key::Control + "s").await?;
    maker.fill("[data-test=plan-name] input", "Chorus collars").await?;
    maker.fill("[data-test=plan-note] textarea", "Second row only.").await?;
    maker.click("[data-test=keep-confirm]").await?;
    maker.sees("[data-test=kept-as]", "Chorus collars").await
}

/// The names of what is saved.
const NAMES: &str =
    "return [...document.querySelectorAll('[data-test=plans] .name')].map((one) => one.innerText)";

#[test]
fn a_kept_plan_survives_reload_and_a_killed_server() -> Result<()> {
    at_the_bench(|maker| async move {
        keep_sixty_brass_rings(maker).await?;
        maker.browser.driver.refresh().await?;
        maker.sees(SENTENCE, "60 rings of half-hard brass").await?;
        maker.server.kill_and_restart().await?;
        maker.open("/saved").await?;
        maker.sees("[data-test=plans] .plan", "Chorus collars").await?;
        maker.sees("[data-test=plans] .plan", "Second row only.").await?;
        maker.click("[data-test=open-plan]").await?;
        maker.sees(SENTENCE, "60 rings of half-hard brass").await
    })
}

#[test]
fn an_unkept_draft_survives_a_reload_and_is_undone() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "120 rings").await?;
        maker.click("[data-slot=rings]").await?;
        maker.fill("[data-test=typed] input", "37").await?;
        maker.sees(SENTENCE, "37 rings").await?;
        maker.press(Key::Enter + "").await?;
        maker.gone("[data-test=editor]").await?;
        maker.press(Key::Control + "z").await?;
        maker.sees(SENTENCE, "120 rings").await?;
        maker.press(Key::Control + "y").await?;
        maker.sees(SENTENCE, "37 rings").await?;
        maker.browser.driver.refresh().await?;
        maker.sees(SENTENCE, "37 rings").await
    })
}

#[test]
fn plans_are_found_renamed_duplicated_put_away_and_undone() -> Result<()> {
    at_the_bench(|maker| async move {
        keep_sixty_brass_rings(maker).await?;
        maker.open("/saved").await?;
        maker.fill("[data-test=find] input", "collars brass").await?;
        maker.until("one plan", || async { Ok(maker.count("[data-test=plans] .plan").await? == 1) }).await?;
        maker.click("[data-test=more]").await?;
        maker.click("[data-test=rename]").await?;
        maker.fill("[data-test=rename-name] input", "Chorus collars, brass").await?;
        maker.click("[data-test=rename-confirm]").await?;
        maker.sees("[data-test=plans]", "Chorus collars, brass").await?;
        maker.click("[data-test=more]").await?;
        maker.click("[data-test=duplicate]").await?;
        maker.sees("[data-test=plans]", "Chorus collars, brass, copy").await?;
        // A notice stays for 8 s, also where it follows upon another.
        tokio::time::sleep(Duration::from_secs(5)).await;
        maker.click("[data-test=more]").await?;
        maker.click("[data-test=archive]").await?;
        maker.sees("[data-test=notice]", "was archived").await?;
        tokio::time::sleep(Duration::from_secs(4)).await;
        ensure!(maker.count("[data-test=undo-notice]").await? == 1, "the way back is gone too soon");
        maker
            .until("one plan left", || async { Ok(maker.count("[data-test=plans] .plan").await? == 1) })
            .await?;
        maker.click("[data-test=undo-notice]").await?;
        maker.until("both again", || async { Ok(maker.count("[data-test=plans] .plan").await? == 2) }).await
    })
}

#[test]
fn a_plan_goes_out_as_files_and_comes_back_in() -> Result<()> {
    at_the_bench(|maker| async move {
        keep_sixty_brass_rings(maker).await?;
        for (file, starts) in [
            ("cut-sheet.pdf", "%PDF"),
            ("cut-sheet.svg", "<svg"),
            ("label.pdf", "%PDF"),
            ("plan.csv", "name,note,rings_n"),
            ("plan.json", "{"),
        ] {
            maker.click("[data-test=take-away]").await?;
            maker.click(&format!("[data-file='{file}']")).await?;
            let ending = file.strip_prefix("plan").unwrap_or(file);
            let bytes = maker.saved(ending).await?;
            ensure!(bytes.starts_with(starts.as_bytes()), "{file} does not start with {starts}");
            maker.press(Key::Escape + "").await?;
        }
        let sheet = String::from_utf8(maker.saved("cut-sheet.svg").await?)?;
        ensure!(sheet.contains("Chorus collars") && sheet.contains("60 rings of half-hard brass"));
        let table = String::from_utf8(maker.saved(".csv").await?)?;
        ensure!(table.contains("Chorus collars,Second row only.,60,brass,half-hard,round"), "{table}");

        // The JSON that was saved is brought back in: as it is, it is here already; another's, beside the original.
        maker.open("/saved").await?;
        maker.fill("[data-test=find] input", "Chorus").await?;
        maker.until("one plan", || async { Ok(maker.count("[data-test=plans] .plan").await? == 1) }).await?;
        let chooser = maker.browser.driver.find(By::Css("[data-test=import-file]")).await?;
        let saved = maker.browser.downloads().join("chorus-collars.json");
        chooser.send_keys(saved.display().to_string()).await?;
        maker.sees("[data-test=notice]", "is here already. Nothing was changed").await?;
        let others = maker.browser.downloads().join("others.json");
        std::fs::write(&others, std::fs::read_to_string(&saved)?.replace("Second row only.", "Third row."))?;
        chooser.send_keys(others.display().to_string()).await?;
        maker.sees("[data-test=notice]", "Imported 1 plan").await?;
        maker.until("two plans", || async { Ok(maker.count("[data-test=plans] .plan").await? == 2) }).await
    })
}

#[test]
fn a_broken_file_brings_nothing_in_and_says_where_it_is_broken() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/saved").await?;
        maker.sees("[data-test=plans]", "Reed crown").await?;
        let before = maker.count("[data-test=plans] .plan").await?;
        let good = r#"{"name":"Good","request":{"wire":{"metal":"copper","size_mm":1},"mandrel":{"diameter_mm":5}}}"#;
        let bad = good.replace("Good", "Bad").replace("\"size_mm\":1}", "\"size_mm\":0}");
        let file = maker.browser.downloads().join("broken.json");
        std::fs::write(
            &file,
            format!(r#"{{"format":"lorimant-plans","version":1,"plans":[{good},{bad}]}}"#),
        )?;
        let chooser = maker.browser.driver.find(By::Css("[data-test=import-file]")).await?;
        chooser.send_keys(file.display().to_string()).await?;
        maker.sees("[data-test=import-faults]", "Nothing was imported").await?;
        maker.sees("[data-test=import-faults]", "plans[1].request.wire.size_mm").await?;
        maker.sees("[data-test=import-faults]", "The wire size is zero").await?;
        maker.browser.driver.refresh().await?;
        maker.sees("[data-test=plans]", "Reed crown").await?;
        ensure!(maker.count("[data-test=plans] .plan").await? == before, "something was half-imported");
        Ok(())
    })
}

const ROWS: &str = "[data-test=plans] .plan";

async fn rows(maker: &Maker, n: usize) -> Result<()> {
    maker.until(&format!("{n} rows"), || async { Ok(maker.count(ROWS).await? == n) }).await
}

#[test]
fn rings_and_findings_stand_in_one_list_and_are_duplicated_and_put_away_there() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/saved").await?;
        maker.find(ROWS).await?;
        let all = maker.count(ROWS).await?;
        maker.click("[data-choice=findings] input").await?;
        rows(maker, 5).await?;
        maker.click("[data-test=more]").await?;
        maker.click("[data-test=duplicate]").await?;
        rows(maker, 6).await?;
        maker.click("[data-test=more]").await?;
        maker.click("[data-test=archive]").await?;
        rows(maker, 5).await?;
        maker.click("[data-test=undo-notice]").await?;
        rows(maker, 6).await?;
        maker.click("[data-choice=rings] input").await?;
        rows(maker, all - 7).await?;
        maker.click("[data-choice=chains] input").await?;
        rows(maker, 2).await?;
        maker.click("[data-choice=all] input").await?;
        rows(maker, all + 1).await
    })
}

#[test]
fn an_earlier_revision_of_rings_is_laid_on_the_desk_and_kept_over_the_last() -> Result<()> {
    at_the_bench(|maker| async move {
        keep_sixty_brass_rings(maker).await?;
        maker.click("[data-slot=rings]").await?;
        maker.fill("[data-test=typed] input", "75").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees(KEPT_AS, "changed since saved").await?;
        maker.click("[data-test=keep]").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.gone("[data-test=keep-confirm]").await?;
        maker.open("/saved").await?;
        maker.fill("[data-test=find] input", "Chorus").await?;
        rows(maker, 1).await?;
        maker.click("[data-test=more]").await?;
        maker.click("[data-test=revisions]").await?;
        maker.sees("[data-test=revision-list]", "75 rings").await?;
        maker.sees("[data-test=revision-list]", "60 rings").await?;
        maker.click("[data-test=revision] ~ [data-test=revision] [data-test=open-revision]").await?;
        maker.sees("[data-test=sentence]", "60 rings").await?;
        maker.sees(KEPT_AS, "changed since saved").await?;
        maker.click("[data-test=keep]").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.gone("[data-test=keep-confirm]").await?;
        maker.open("/saved").await?;
        maker.fill("[data-test=find] input", "Chorus").await?;
        maker.sees("[data-test=plans]", "60 rings").await
    })
}

#[test]
fn a_name_that_is_taken_is_pointed_out_and_still_may_be_kept() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/findings/piece?kind=eye-pin").await?;
        maker.click("[data-test=keep]").await?;
        maker.fill("[data-test=plan-name] input", "water sprites, ear wires").await?;
        maker.sees("[data-test=alike]", "is saved already: 24 pairs of ear wires").await?;
        maker.fill("[data-test=plan-name] input", "Water sprites, pins").await?;
        maker.gone("[data-test=alike]").await?;
        maker.fill("[data-test=plan-name] input", "Water sprites, ear wires").await?;
        maker.click("[data-test=keep-confirm]").await?;
        maker.gone("[data-test=keep-confirm]").await?;
        maker.open("/saved").await?;
        maker.fill("[data-test=find] input", "Water sprites, ear").await?;
        rows(maker, 2).await?;
        maker.sees("[data-test=namesakes]", "another has the same name").await
    })
}

/// A copy is saved while one works, and a server started with it shows the same.
#[test]
fn a_copy_of_the_workshop_is_saved_and_opened() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/saved").await?;
        maker.find("[data-test=plans] .plan").await?;
        let names = maker.script(NAMES).await?;
        maker.click("[data-test=settings]").await?;
        maker.click("[data-test=back-up]").await?;
        let copy = maker.saved(".lorimant").await?;
        let folder = tempfile::tempdir()?;
        let file = folder.path().join("copy.lorimant");
        std::fs::write(&file, copy)?;
        let (_server, address) = lorimant_ui_tests::server::launch(&file, "0").await?;
        maker.browser.driver.goto(format!("{address}/saved")).await?;
        maker.find("[data-test=plans] .plan").await?;
        ensure!(maker.script(NAMES).await? == names);
        Ok(())
    })
}

/// A backup is put back where it was taken, and in another workshop, without the command line.
#[test]
fn a_backup_is_restored_in_the_settings() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/saved").await?;
        maker.find("[data-test=plans] .plan").await?;
        let names = maker.script(NAMES).await?;
        maker.click("[data-test=settings]").await?;
        maker.click("[data-test=back-up]").await?;
        let copy = maker.saved(".lorimant").await?;
        let folder = tempfile::tempdir()?;
        let (saved, file) = (folder.path().join("backup.lorimant"), folder.path().join("new.lorimant"));
        std::fs::write(&saved, copy)?;
        let (_server, address) = lorimant_ui_tests::server::launch_empty(&file).await?;
        maker.browser.driver.goto(format!("{address}/saved")).await?;
        maker.sees("[data-test=empty]", "Nothing saved yet").await?;
        maker.click("[data-test=settings]").await?;
        let chooser = maker.browser.driver.find(By::Css("[data-test=restore-chooser]")).await?;
        chooser.send_keys(saved.to_str().context("a path")?).await?;
        maker.click("[data-test=restore]").await?;
        maker.sees("[data-test=restored]", "is saved as").await?;
        maker.click("[data-test=restore]").await?;
        maker.browser.driver.goto(format!("{address}/saved")).await?;
        maker.find("[data-test=plans] .plan").await?;
        ensure!(maker.script(NAMES).await? == names);
        Ok(())
    })
}

/// The workshop as open lines comes in whole where there is none yet.
#[test]
fn a_whole_workshop_is_brought_into_an_empty_one() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/saved").await?;
        maker.find("[data-test=plans] .plan").await?;
        let names = maker.script(NAMES).await?;
        maker.click("[data-test=settings]").await?;
        maker.click("[data-test=all-lines]").await?;
        let lines = maker.saved(".jsonl").await?;
        let folder = tempfile::tempdir()?;
        let (saved, file) = (folder.path().join("all.jsonl"), folder.path().join("new.lorimant"));
        std::fs::write(&saved, lines)?;
        let (_server, address) = lorimant_ui_tests::server::launch_empty(&file).await?;
        maker.browser.driver.goto(format!("{address}/saved")).await?;
        maker.sees("[data-test=empty]", "Nothing saved yet").await?;
        let chooser = maker.browser.driver.find(By::Css("[data-test=import-file]")).await?;
        chooser.send_keys(saved.to_str().context("a path")?).await?;
        maker.sees("[data-test=notice]", "The whole workshop is imported, as it was").await?;
        maker.find("[data-test=plans] .plan").await?;
        ensure!(maker.script(NAMES).await? == names);
        Ok(())
    })
}

/// A file that is moved away while it is open: what is kept is refused with the reason, and kept once it is back.
#[test]
fn a_file_that_was_moved_is_said_and_nothing_typed_is_lost() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        maker.find("[data-test=sentence]").await?;
        let (file, away) = (maker.server.file(), maker.server.file().with_extension("moved"));
        std::fs::rename(&file, &away)?;
        maker.press(Key::Control + "s").await?;
        maker.fill("[data-test=plan-name] input", "Kept in spite of it").await?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[role=dialog]", "no longer at").await?;
        std::fs::rename(&away, &file)?;
        maker.press(Key::Enter + "").await?;
        maker.sees("[data-test=notice]", "Kept in spite of it").await?;
        // Whoever comes while it is away is told on the page.
        std::fs::rename(&file, &away)?;
        maker.open("/saved").await?;
        maker.sees("[data-test=only-read]", "Nothing is saved for now").await?;
        maker.click("[data-test=restore-a-copy]").await?;
        maker.sees("[role=dialog]", "Restore a backup").await?;
        std::fs::rename(&away, &file)?;
        maker.open("/saved").await?;
        maker.find("[data-test=plans] .plan").await?;
        maker.gone("[data-test=only-read]").await?;
        // A backup that somebody copies into the open file is used from the page.
        let backup = file.with_extension("backup");
        std::fs::copy(&file, &backup)?;
        // The open file goes on meanwhile, so that the two differ.
        let request = json!({ "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } });
        let plan = json!({ "name": "Meanwhile", "note": "", "request": request }).to_string();
        let mut other = connect(&maker.server.address()).await?;
        ensure!(answer(&mut other, "POST", "/api/plans", &plan).await?.0 == 201);
        // The log is emptied into the file in the pause that follows.
        tokio::time::sleep(Duration::from_millis(600)).await;
        std::fs::copy(&backup, &file)?;
        maker.open("/saved").await?;
        maker.sees("[data-test=only-read]", "wrote over").await?;
        maker.click("[data-test=use-file]").await?;
        maker.gone("[data-test=only-read]").await?;
        maker.open("/saved").await?;
        maker.find("[data-test=plans] .plan").await.map(drop)
    })
}

/// A disk without room: what could not be kept is said, and stays as it was typed.
#[test]
fn a_full_disk_is_said_and_nothing_typed_is_lost() -> Result<()> {
    at_the_bench(|maker| async move {
        let folder = tempfile::tempdir()?;
        let file = folder.path().join("full.lorimant");
        drop(lorimant_ui_tests::server::launch(&file, "0").await?);
        let (full, address) = lorimant_ui_tests::server::launch_on_a_full_disk(&file, 1 << 20).await?;
        // Whoever works beside the maker fills it.
        let mut other = connect(&address).await?;
        let request = json!({ "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } });
        let plan = json!({ "name": "Reeds", "note": "reed ".repeat(390), "request": request }).to_string();
        maker.browser.driver.goto(format!("{address}/rings")).await?;
        maker.find("[data-test=sentence]").await?;
        for _ in 0..12 {
            // The log is emptied into the file in each pause; it is full once nothing has gone in for a while.
            let (mut last, mut refused) = (Instant::now(), 0);
            while last.elapsed() < Duration::from_secs(1) || refused < 20 {
                if answer(&mut other, "POST", "/api/plans", &plan).await?.0 == 201 {
                    (last, refused) = (Instant::now(), 0);
                } else {
                    refused += 1;
                }
            }
            maker.press(Key::Control + "s").await?;
            maker.fill("[data-test=plan-name] input", "One more than the disk holds").await?;
            maker.fill("[data-test=plan-note] textarea", &"reed ".repeat(390)).await?;
            maker.click("[data-test=keep-confirm]").await?;
            let answered = "return document.querySelector('[role=dialog] [role=alert]') !== null
                || document.querySelector('[data-test=keep-confirm]') === null";
            maker.until("kept or refused", || async { Ok(maker.script(answered).await? == true) }).await?;
            if maker.count("[role=dialog] [role=alert]").await? > 0 {
                break;
            }
            // A pause has emptied pages that took this one; the next is a new one.
            maker.script("sessionStorage.clear()").await?;
        }
        maker.sees("[role=dialog]", "Nothing was changed").await?;
        let typed = maker.find("[data-test=plan-name] input").await?.prop("value").await?;
        ensure!(typed.as_deref() == Some("One more than the disk holds"), "{typed:?} stands there");
        drop(full);
        Ok(())
    })
}

/// A second program on the same file is refused and says where the first one answers; there the workshop is.
#[test]
fn a_second_server_says_where_the_first_one_is() -> Result<()> {
    at_the_bench(|maker| async move {
        keep_sixty_brass_rings(maker).await?;
        let text = lorimant_ui_tests::server::refused(&maker.server.file()).await?;
        let told = text.split("already, at ").nth(1).and_then(|rest| rest.split(". ").next());
        let address = told.with_context(|| format!("no address in {text:?}"))?;
        maker.browser.driver.goto(format!("{address}saved")).await?;
        maker.fill("[data-test=find] input", "Chorus").await?;
        rows(maker, 1).await
    })
}
