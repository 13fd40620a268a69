//! Headless Chromium, through ChromeDriver. One is used by one test after another, each of which finds it empty: starting
//! it takes longer than many tests.

use std::path::{Path, PathBuf};
use std::process::Stdio;
use std::sync::{Mutex, PoisonError};

use anyhow::{Context as _, Result, bail};
use serde_json::json;
use tempfile::TempDir;
use thirtyfour::prelude::*;
use tokio::io::{AsyncBufReadExt as _, BufReader};
use tokio::process::{Child, Command};

/// A browser and its driver.
pub struct Browser {
    /// What drives it.
    pub driver: WebDriver,
    /// Ends the driver and its Chromium once it is dropped, or this program is gone.
    chromedriver: Mutex<Option<Child>>,
    folder: TempDir,
    downloads: PathBuf,
}

/// Browsers that no test uses.
static IDLE: Mutex<Vec<&Browser>> = Mutex::new(vec![]);

fn idle() -> std::sync::MutexGuard<'static, Vec<&'static Browser>> {
    IDLE.lock().unwrap_or_else(PoisonError::into_inner)
}

impl Browser {
    /// One that nobody uses, or a new one.
    ///
    /// # Errors
    /// When Chromium or ChromeDriver does not start.
    pub async fn take() -> Result<&'static Self> {
        let one = idle().pop();
        match one {
            Some(one) => Ok(one),
            None => Ok(Box::leak(Box::new(Self::start().await?))),
        }
    }

    /// Forgets what a test left in it (pages, what was saved, cookies, what was emulated) and keeps it for another.
    ///
    /// # Errors
    /// When the browser cannot.
    pub async fn give_back(&'static self, address: &str) -> Result<()> {
        let driver = &self.driver;
        let cdp = driver.cdp();
        let origin = json!({ "origin": address, "storageTypes": "all" });
        let fresh = driver.new_tab().await?;
        for page in driver.windows().await? {
            if page != fresh {
                driver.switch_to_window(page).await?;
                driver.close_window().await?;
            }
        }
        driver.switch_to_window(fresh).await?;
        cdp.send_raw("Storage.clearDataForOrigin", origin).await?;
        cdp.send_raw("Network.clearBrowserCookies", json!({})).await?;
        driver.browser_log().await?;
        for saved in std::fs::read_dir(&self.downloads)? {
            std::fs::remove_file(saved?.path())?;
        }
        self.make_ready().await?;
        idle().push(self);
        Ok(())
    }

    /// What holds for a page only, and is to be said for each.
    async fn make_ready(&self) -> Result<()> {
        self.resize(1280, 800).await?;
        let into = json!({ "behavior": "allow", "downloadPath": self.downloads });
        self.driver.cdp().send_raw("Browser.setDownloadBehavior", into).await?;
        Ok(())
    }

    /// Starts one with a window of 1280 × 800.
    ///
    /// # Errors
    /// When Chromium or ChromeDriver does not start.
    async fn start() -> Result<Self> {
        let (chromedriver, port, folder) = chromedriver().await?;
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
            // It ends with its driver, whatever ends that.
            "--remote-debugging-pipe",
            "--window-size=1280,800",
            &profile,
        ] {
            wanted.add_arg(argument)?;
        }
        wanted.set("goog:loggingPrefs", json!({ "browser": "ALL" }))?;
        let driver = WebDriver::new(format!("http://127.0.0.1:{port}"), wanted).await?;
        driver.set_script_timeout(std::time::Duration::from_secs(30)).await?;
        let browser = Self { driver, chromedriver: Mutex::new(Some(chromedriver)), folder, downloads };
        browser.make_ready().await?;
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

    /// Closes it for good.
    pub async fn stop(&self) {
        let _ = self.driver.clone().quit().await;
        let child = self.chromedriver.lock().unwrap_or_else(PoisonError::into_inner).take();
        if let Some(mut child) = child {
            drop(child.stdin.take());
            let _ = child.wait().await;
        }
    }
}

/// Runs ChromeDriver until standard input ends, as it does when this program is gone however it went; then ends it with
/// its browser and clears their folder away.
const WRAPPER: &str =
    "chromedriver --port=0 & driver=$!; exec > /dev/null; cat; kill $driver; wait; rm -rf \"$0\"";

/// ChromeDriver, its port and its folder. It takes a port that is free for IPv4 and ends where the same is taken for
/// IPv6, by another test's connection: then it is started again.
async fn chromedriver() -> Result<(Child, String, TempDir)> {
    for _ in 0..5 {
        let folder = tempfile::tempdir()?;
        let mut child = Command::new("sh")
            .args(["-c", WRAPPER])
            .arg(folder.path())
            .stdin(Stdio::piped())
            .stdout(Stdio::piped())
            .stderr(Stdio::null())
            .spawn()?;
        let stdout = child.stdout.take().context("chromedriver says nothing")?;
        let mut lines = BufReader::new(stdout).lines();
        while let Some(line) = lines.next_line().await? {
            if let Some(rest) = line.split("started successfully on port ").nth(1) {
                return Ok((child, rest.trim_end_matches('.').to_owned(), folder));
            }
        }
    }
    bail!("chromedriver does not start: run `cargo xtask test`, which installs it")
}
