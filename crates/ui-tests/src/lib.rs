//! Drives the real interface: a server of its own with the demo workshop, and headless Chromium.
//!
//! A test says what a person does and what must be seen; every wait is for a condition.

pub mod browser;
pub mod client;
pub mod server;

use std::future::Future;
use std::time::{Duration, Instant};

use anyhow::{Context as _, Result, bail};
use thirtyfour::prelude::*;

use browser::Browser;
use server::Server;

/// How long anything seen may take before a test gives up.
const PATIENCE: Duration = Duration::from_secs(40);

/// A person at the bench: a browser on a workshop.
pub struct Maker {
    /// The browser.
    pub browser: Browser,
    /// The server it looks at.
    pub server: Server,
}

/// Runs a test with a demo workshop of its own, and then checks that nothing went wrong unseen: no
/// error in the browser's console, no request to another host.
///
/// # Errors
/// Whatever the test or these checks found.
pub fn at_the_bench<F>(test: impl FnOnce(&'static Maker) -> F) -> Result<()>
where
    F: Future<Output = Result<()>> + Send + 'static,
{
    let runtime = tokio::runtime::Builder::new_multi_thread().worker_threads(2).enable_all().build()?;
    runtime.block_on(async {
        let server = Server::start().await?;
        let browser = Browser::start().await?;
        // The test owns the maker until the process ends, so that a panic cannot tear it down midway.
        let maker: &'static Maker = Box::leak(Box::new(Maker { browser, server }));
        let outcome = tokio::spawn(test(maker)).await;
        let unseen = match &outcome {
            Ok(Ok(())) => maker.nothing_went_wrong_unseen().await,
            _ => {
                maker.keep_picture().await;
                Ok(())
            }
        };
        maker.browser.stop().await;
        maker.server.stop().await;
        // A maker is never dropped: what it wrote is cleared away here.
        for folder in [maker.browser.folder(), maker.server.folder()] {
            let _ = std::fs::remove_dir_all(folder);
        }
        match outcome {
            Ok(result) => result.and(unseen),
            Err(panic) => std::panic::resume_unwind(panic.into_panic()),
        }
    })
}

impl Maker {
    fn driver(&self) -> &WebDriver {
        &self.browser.driver
    }

    /// Opens a view.
    ///
    /// # Errors
    /// When the browser cannot.
    pub async fn open(&self, path: &str) -> Result<()> {
        self.driver().goto(format!("{}{path}", self.server.address())).await?;
        Ok(())
    }

    /// Chooses what is called so in a list.
    ///
    /// # Errors
    /// When it does not come to be there.
    pub async fn choose(&self, css: &str, label: &str) -> Result<()> {
        let script = format!(
            "const select = document.querySelector('{css}');
            const option = [...select.options].find((one) => one.label.trim() === '{label}');
            select.value = option.value; select.selectedIndex = option.index;
            select.dispatchEvent(new Event('change', {{ bubbles: true }}))"
        );
        self.find(css).await?;
        self.until(&format!("{label} at {css}"), || async { Ok(self.script(&script).await.is_ok()) }).await
    }

    /// Waits until a list shows a choice.
    ///
    /// # Errors
    /// When it does not in time.
    pub async fn has_chosen(&self, css: &str, label: &str) -> Result<()> {
        let script = format!("return document.querySelector('{css}').selectedOptions[0].label");
        self.find(css).await?;
        self.until(&format!("{label} chosen at {css}"), || async {
            Ok(self.script(&script).await?.as_str().is_some_and(|shown| shown.trim() == label))
        })
        .await
    }

    /// Waits until a condition holds.
    ///
    /// # Errors
    /// When it does not in time, naming what was waited for.
    pub async fn until<F>(&self, what: &str, mut holds: impl FnMut() -> F) -> Result<()>
    where
        F: Future<Output = Result<bool>>,
    {
        let start = Instant::now();
        loop {
            // An element that is just being redrawn is looked for again.
            if holds().await.unwrap_or(false) {
                return Ok(());
            }
            if start.elapsed() > PATIENCE {
                bail!("waited in vain for {what}");
            }
            tokio::time::sleep(Duration::from_millis(25)).await;
        }
    }

    /// The first element that a selector finds and that can be seen.
    ///
    /// # Errors
    /// When there is none in time.
    pub async fn find(&self, css: &str) -> Result<WebElement> {
        let start = Instant::now();
        loop {
            for element in self.driver().find_all(By::Css(css)).await? {
                if element.is_displayed().await.unwrap_or(false) {
                    return Ok(element);
                }
            }
            if start.elapsed() > PATIENCE {
                bail!("nothing to be seen at {css}");
            }
            tokio::time::sleep(Duration::from_millis(25)).await;
        }
    }

    /// How many elements a selector finds.
    ///
    /// # Errors
    /// When the browser cannot say.
    pub async fn count(&self, css: &str) -> Result<usize> {
        Ok(self.driver().find_all(By::Css(css)).await?.len())
    }

    /// The text to be seen at a selector.
    ///
    /// # Errors
    /// When there is nothing.
    pub async fn text(&self, css: &str) -> Result<String> {
        Ok(self.find(css).await?.text().await?)
    }

    /// Waits until some words are to be seen at a selector.
    ///
    /// # Errors
    /// When they are not in time; says what stood there instead.
    pub async fn sees(&self, css: &str, words: &str) -> Result<()> {
        let what = format!("“{words}” at {css}");
        let seen = self.until(&what, || async {
            Ok(self.driver().find(By::Css(css)).await?.text().await?.contains(words))
        });
        if let Err(error) = seen.await {
            let there = self.text(css).await.unwrap_or_else(|_| "nothing".to_owned());
            bail!("{error}; there was: {there}");
        }
        Ok(())
    }

    /// Waits until nothing is to be seen at a selector.
    ///
    /// # Errors
    /// When something stays.
    pub async fn gone(&self, css: &str) -> Result<()> {
        self.until(&format!("{css} to go"), || async {
            for element in self.driver().find_all(By::Css(css)).await? {
                if element.is_displayed().await? {
                    return Ok(false);
                }
            }
            Ok(true)
        })
        .await
    }

    /// Clicks what a selector finds, once it can be clicked.
    ///
    /// # Errors
    /// When it cannot.
    pub async fn click(&self, css: &str) -> Result<()> {
        self.until(&format!("{css} to be clicked"), || async {
            let there = self.find(css).await?;
            if there.click().await.is_err() {
                // It lies under the doors at the foot of a phone: a person scrolls it up.
                let scroll = "arguments[0].scrollIntoView({ block: 'center' })";
                self.driver().execute(scroll, vec![there.to_json()?]).await?;
                there.click().await?;
            }
            Ok(true)
        })
        .await
    }

    /// Types on the keyboard, wherever the focus is.
    ///
    /// # Errors
    /// When the browser cannot.
    pub async fn press(&self, keys: impl Into<thirtyfour::TypingData>) -> Result<()> {
        self.driver().active_element().await?.send_keys(keys).await?;
        Ok(())
    }

    /// Makes one more, by whatever does, until everything of the batch that is led is made.
    ///
    /// # Errors
    /// When it does not come to its end.
    pub async fn makes_all<F>(&self, one_more: impl Fn() -> F) -> Result<()>
    where
        F: Future<Output = Result<()>>,
    {
        const MOST: usize = 500;
        let made = || async { anyhow::Ok(self.count("[data-test=made]").await? == 1) };
        let press = || async { anyhow::Ok(self.count("[data-test=press]:not(:disabled)").await? == 1) };
        for _ in 0..MOST {
            self.until("the next press", || async { Ok(made().await? || press().await?) }).await?;
            if made().await? {
                return Ok(());
            }
            one_more().await?;
        }
        bail!("not all made after {MOST} presses")
    }

    /// Presses Tab until the focus is on what a selector finds.
    ///
    /// # Errors
    /// When it is not reached within two rounds of a long view.
    pub async fn reach(&self, css: &str) -> Result<()> {
        self.find(css).await?;
        let there = format!("return document.activeElement?.matches({css:?}) ?? false");
        for _ in 0..250 {
            if self.script(&there).await?.as_bool() == Some(true) {
                return Ok(());
            }
            // As the keyboard itself: keys that are sent to a date field are taken for a date.
            self.driver().action_chain().send_keys(Key::Tab + "").perform().await?;
        }
        bail!("Tab does not come to {css}")
    }

    /// Taps what a selector finds with a finger.
    ///
    /// # Errors
    /// When it is not there, or the browser cannot.
    pub async fn tap(&self, css: &str) -> Result<()> {
        let found = self.find(css).await?;
        found.scroll_into_view().await?;
        let place = self
            .script(&format!(
                "const one = [...document.querySelectorAll({css:?})].find((one) => one.checkVisibility());
                 const {{ left, top, width, height }} = one.getBoundingClientRect();
                 return [left + width / 2, top + height / 2]"
            ))
            .await?;
        let (x, y) = (&place[0], &place[1]);
        let cdp = self.driver().cdp();
        let on = serde_json::json!({ "enabled": true, "maxTouchPoints": 1 });
        cdp.send_raw("Emulation.setTouchEmulationEnabled", on).await?;
        let down = serde_json::json!({ "type": "touchStart", "touchPoints": [{ "x": x, "y": y }] });
        cdp.send_raw("Input.dispatchTouchEvent", down).await?;
        let up = serde_json::json!({ "type": "touchEnd", "touchPoints": [] });
        cdp.send_raw("Input.dispatchTouchEvent", up).await?;
        Ok(())
    }

    /// Empties a field and types into it.
    ///
    /// # Errors
    /// When it cannot.
    pub async fn fill(&self, css: &str, text: &str) -> Result<()> {
        let field = self.find(css).await?;
        field.send_keys(Key::Control + "a").await?;
        field.send_keys(Key::Delete + "").await?;
        field.send_keys(text).await?;
        Ok(())
    }

    /// Runs a script in the page.
    ///
    /// # Errors
    /// When it fails.
    pub async fn script(&self, script: &str) -> Result<serde_json::Value> {
        Ok(self.driver().execute(script, vec![]).await?.json().clone())
    }

    /// Waits for a file to be saved and reads it.
    ///
    /// # Errors
    /// When none with this ending comes in time.
    pub async fn saved(&self, ending: &str) -> Result<Vec<u8>> {
        let folder = self.browser.downloads();
        let find = || {
            std::fs::read_dir(folder).ok()?.filter_map(|entry| Some(entry.ok()?.path())).find(|path| {
                path.to_str().is_some_and(|name| name.ends_with(ending))
                    && std::fs::metadata(path).is_ok_and(|meta| meta.len() > 0)
            })
        };
        self.until(&format!("a saved file ending in {ending}"), || async { Ok(find().is_some()) }).await?;
        let path = find().context("the file went away")?;
        Ok(std::fs::read(path)?)
    }

    /// Scans the page for accessibility with axe and fails on whatever it finds.
    ///
    /// # Errors
    /// What was found, and where.
    pub async fn is_accessible(&self) -> Result<()> {
        let axe = concat!(env!("CARGO_MANIFEST_DIR"), "/../../web/node_modules/axe-core/axe.min.js");
        let axe = std::fs::read_to_string(axe).context("axe-core is not installed: run npm ci in web")?;
        self.script(&format!("{axe}; window.axe = axe;")).await?;
        let scan = "const done = arguments[0];
            axe.run(document, { resultTypes: ['violations'] }).then(
                (found) => done(found.violations
                    .map((one) => `${one.id}: ${one.nodes.map((node) => node.target + ' ' + node.failureSummary).join('; ')}`)),
                (error) => done([String(error)]))";
        let found = self.driver().execute_async(scan, vec![]).await?;
        let found = found.json().as_array().cloned().unwrap_or_default();
        if !found.is_empty() {
            bail!("accessibility: {found:#?}");
        }
        Ok(())
    }

    /// No error in the console, no request to another host.
    async fn nothing_went_wrong_unseen(&self) -> Result<()> {
        // Refusals and a server that is stopped, which a test provokes on purpose, are no accidents.
        let expected = |text: &str| {
            ["status of 4", "status of 503", "ERR_CONNECTION_REFUSED"]
                .iter()
                .any(|known| text.contains(known))
        };
        let entries = self.driver().browser_log().await?;
        let errors: Vec<String> = entries
            .into_iter()
            .map(|entry| format!("{entry:?}"))
            .filter(|text| (text.contains("SEVERE") || text.contains("Severe")) && !expected(text))
            .collect();
        if !errors.is_empty() {
            bail!("the browser's console has errors: {errors:#?}");
        }
        let script = "return performance.getEntriesByType('resource').map((entry) => entry.name)
            .filter((name) => !name.startsWith(location.origin) && !name.startsWith('data:') && !name.startsWith('blob:'))";
        let foreign = self.script(script).await?;
        if foreign.as_array().is_some_and(|names| !names.is_empty()) {
            bail!("requests left this machine: {foreign}");
        }
        Ok(())
    }

    /// Keeps a picture of what was to be seen when a test failed.
    async fn keep_picture(&self) {
        let folder = std::env::temp_dir().join("lorimant-ui-tests");
        let name = std::thread::current().name().unwrap_or("test").replace("::", "-");
        let path = folder.join(format!("{name}-{}.png", std::process::id()));
        if std::fs::create_dir_all(&folder).is_ok() && self.driver().screenshot(&path).await.is_ok() {
            eprintln!("what was to be seen: {}", path.display());
        }
    }
}
