//! Who may come in: a lock that falls meanwhile, a device that is signed out.

use anyhow::{Context as _, Result, ensure};
use lorimant_ui_tests::{Maker, at_the_bench};
use serde_json::json;
use thirtyfour::prelude::*;

use crate::losses::ring_count;

const SENTENCE: &str = "[data-test=sentence]";

/// The lock is met wherever one is, and what lay on the desk lies there behind it; downloads meet it as well.
#[test]
fn a_lock_that_falls_meanwhile_keeps_what_lies_on_the_desk() -> Result<()> {
    at_the_bench(|maker| async move {
        maker.open("/rings").await?;
        ring_count(maker, "41").await?;
        maker.open("/saved").await?;
        maker.find("[data-test=plans] .plan").await?;
        lock(maker, "reed and rush").await?;
        maker.server.kill_and_restart().await?;
        maker.click("[data-test=take-out]").await?;
        maker.click("[data-test=take-out-json]").await?;
        maker.fill("main input[type=password]", "reed and rush").await?;
        maker.press(Key::Enter + "").await?;
        maker.find("[data-test=plans] .plan").await?;
        maker.open("/rings").await?;
        maker.sees(SENTENCE, "41 rings").await
    })
}

/// Sets a passphrase on the file that is being served.
pub(crate) async fn lock(maker: &Maker, passphrase: &str) -> Result<()> {
    let mut program = std::process::Command::new(lorimant_ui_tests::server::program()?)
        .args(["passphrase", "--data"])
        .arg(maker.server.file())
        .stdin(std::process::Stdio::piped())
        .stderr(std::process::Stdio::null())
        .spawn()?;
    let mut input = program.stdin.take().context("no input")?;
    std::io::Write::write_all(&mut input, format!("{passphrase}\n").as_bytes())?;
    drop(input);
    ensure!(program.wait()?.success(), "the passphrase was not set");
    Ok(())
}

/// Another device is signed out in the settings: it is asked for the passphrase, this one goes on.
#[test]
fn a_device_is_signed_out_in_the_settings() -> Result<()> {
    at_the_bench(|maker| async move {
        lock(maker, "reed and rush").await?;
        maker.server.kill_and_restart().await?;
        let body = json!({ "passphrase": "reed and rush" });
        let agent = "Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0 Mobile Safari/537.36";
        let unlocked = ureq::post(format!("{}/api/session", maker.server.address()))
            .header("user-agent", agent)
            .send_json(&body)?;
        let cookie =
            unlocked.headers()["set-cookie"].to_str()?.split(';').next().unwrap_or_default().to_owned();
        let phone = async || {
            let config = ureq::Agent::config_builder().http_status_as_error(false).build();
            let plans = ureq::Agent::from(config)
                .get(format!("{}/api/plans", maker.server.address()))
                .header("cookie", &cookie)
                .call()?;
            anyhow::Ok(plans.status().as_u16())
        };
        maker.open("/saved").await?;
        maker.fill("main input[type=password]", "reed and rush").await?;
        maker.press(Key::Enter + "").await?;
        maker.find("[data-test=plans] .plan").await?;
        ensure!(phone().await? == 200, "the phone is not signed in");
        maker.click("[data-test=settings]").await?;
        maker.sees("[data-test=device]", "this device").await?;
        maker.click("[aria-label='Sign out Chrome on Android']").await?;
        maker.sees("[data-test=notice]", "Signed out: Chrome on Android").await?;
        maker.until("one device", || async { Ok(maker.count("[data-test=device]").await? == 1) }).await?;
        ensure!(phone().await? == 401, "the phone is still signed in");
        maker.is_accessible().await?;
        Ok(())
    })
}
