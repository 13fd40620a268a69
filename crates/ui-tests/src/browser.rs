//! Headless Chromium with a fresh profile, through ChromeDriver.

use std::path::{Path, PathBuf};
use std::process::Stdio;

use anyhow::{Context as _, Result, bail};
use serde_json::json;
use tempfile::TempDir;
use thirtyfour::prelude::*;
use tokio::io::{AsyncBufReadExt as _, BufReader};
use tokio::process::{Child, Command};
use tokio::sync::Mutex;

/// A browser and its driver.
pub struct Browser {
    /// What drives it.
    pub driver: WebDriver,
    chromedriver: Mutex<Option<Child>>,
    folder: TempDir,
    downloads: PathBuf,
}

impl Browser {
    /// Starts one with a window of 1280 × 800.
    ///
    /// # Errors
    /// When Chromium or ChromeDriver does not start.
    pub async fn start() -> Result<Self> {
        let (chromedriver, port) = chromedriver().await?;
        let folder = tempfile::tempdir()?;
        let downloads = folder.path().join("saved");
        std::fs::create_dir_all(&downloads)?;
        let mut wanted = DesiredCapabilities::chrome();
        let profile = format!("--user-data-dir={}", folder.path().join("profile").display());
        for argument in [
            "--headless",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--disable-dev-shm-usage",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--force-prefers-reduced-motion",
            "--hide-scrollbars",
            "--lang=en-GB",
            "--window-size=1280,800",
            &profile,
        ] {
            wanted.add_arg(argument)?;
        }
        wanted.set("goog:loggingPrefs", json!({ "browser": "ALL" }))?;
        let driver = WebDriver::new(format!("http://127.0.0.1:{port}"), wanted).await?;
        driver.set_script_timeout(std::time::Duration::from_secs(30)).await?;
        let browser = Self { driver, chromedriver: Mutex::new(Some(chromedriver)), folder, downloads };
        browser.resize(1280, 800).await?;
        let into = json!({ "behavior": "allow", "downloadPath": browser.downloads() });
        browser.driver.cdp().send_raw("Browser.setDownloadBehavior", into).await?;
        Ok(browser)
    }

    /// Gives the page a size, in CSS pixels.
    ///
    /// # Errors
    /// When the browser cannot.
    pub async fn resize(&self, width: u32, height: u32) -> Result<()> {
        let size = json!({ "width": width, "height": height, "deviceScaleFactor": 1, "mobile": width < 500 });
        self.driver.cdp().send_raw("Emulation.setDeviceMetricsOverride", size).await?;
        Ok(())
    }

    /// Makes the page light or dark, as the device would.
    ///
    /// # Errors
    /// When the browser cannot.
    pub async fn prefer(&self, scheme: &str) -> Result<()> {
        let media = json!({ "features": [{ "name": "prefers-color-scheme", "value": scheme }] });
        self.driver.cdp().send_raw("Emulation.setEmulatedMedia", media).await?;
        Ok(())
    }

    /// Where saved files go.
    #[must_use]
    pub fn downloads(&self) -> &Path {
        debug_assert!(self.downloads.starts_with(self.folder.path()));
        &self.downloads
    }

    /// Its profile and what it saved.
    #[must_use]
    pub fn folder(&self) -> &Path {
        self.folder.path()
    }

    /// Closes it.
    pub async fn stop(&self) {
        let _ = self.driver.clone().quit().await;
        if let Some(mut child) = self.chromedriver.lock().await.take() {
            let _ = child.kill().await;
        }
    }
}

/// ChromeDriver and its port. It takes one that is free for IPv4 and ends where the same is taken for IPv6, by another
/// test's connection: then it is started again.
async fn chromedriver() -> Result<(Child, String)> {
    for _ in 0..5 {
        let mut child = Command::new("chromedriver")
            .arg("--port=0")
            .stdout(Stdio::piped())
            .stderr(Stdio::null())
            .kill_on_drop(true)
            .spawn()
            .context("chromedriver does not start: run `cargo xtask test`, which installs it")?;
        let stdout = child.stdout.take().context("chromedriver says nothing")?;
        let mut lines = BufReader::new(stdout).lines();
        while let Some(line) = lines.next_line().await? {
            if let Some(rest) = line.split("started successfully on port ").nth(1) {
                return Ok((child, rest.trim_end_matches('.').to_owned()));
            }
        }
    }
    bail!("chromedriver ended at once, five times")
}
