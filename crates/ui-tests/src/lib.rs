//! Drives the real interface: a server of its own with the demo workshop, and headless Chromium.
//!
//! A test says what a person does and what must be seen; every wait is for a condition.

pub mod browser;
pub mod client;
pub mod server;

use std::future::Future;
use std::sync::LazyLock;
use std::time::{Duration, Instant};

use anyhow::{Context as _, Result, anyhow, bail, ensure};
use thirtyfour::prelude::*;
use tokio::runtime::Runtime;

use browser::Browser;
use server::Server;

/// How long anything seen may take before a test gives up.
const PATIENCE: Duration = Duration::from_secs(40);

/// How long is waited before a page is looked at again.
const BETWEEN_LOOKS: Duration = Duration::from_millis(40);

/// In JavaScript, the first element that a selector finds and that can be seen; a choice is seen where its list is.
fn shown(css: &str) -> String {
    format!(
        "[...document.querySelectorAll({css:?})]
            .find((one) => (one.closest('select') ?? one).checkVisibility({{ visibilityProperty: true }}))"
    )
}

/// What all tests of a program run on: a browser outlives the test that started it.
static RUNTIME: LazyLock<std::io::Result<Runtime>> = LazyLock::new(Runtime::new);

/// A person at the bench: a browser on a workshop.
pub struct Maker {
    /// The browser.
    pub browser: &'static Browser,
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
    let runtime = RUNTIME.as_ref().map_err(|error| anyhow!("no runtime: {error}"))?;
    runtime.block_on(async {
        let server = Server::start().await?;
        let browser = Browser::take().await?;
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
        if matches!(outcome, Ok(Ok(()))) {
            maker.browser.give_back(&maker.server.address()).await?;
        } else {
            maker.browser.stop().await;
        }
        maker.server.stop().await;
        // A maker is never dropped: what its server wrote is cleared away here.
        let _ = std::fs::remove_dir_all(maker.server.folder());
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
        // What is typed before the page stands goes nowhere.
        let stands = "return !!document.querySelector('main > *')";
        self.until(&format!("{path} to stand"), || async { Ok(self.script(stands).await? == true) }).await
    }

    /// Chooses what is called so in a list.
    ///
    /// # Errors
    /// When it does not come to be there.
    pub async fn choose(&self, css: &str, label: &str) -> Result<()> {
        let script = format!(
            "const select = document.querySelector('{css}');
            const option = [...select.options].find((one) => one.label.trim() === {label:?});
            select.value = option.value; select.selectedIndex = option.index;
            select.dispatchEvent(new Event('change', {{ bubbles: true }}))"
        );
        self.find(css).await?;
        self.until(&format!("{label} at {css}"), || async { Ok(self.script(&script).await.is_ok()) }).await
    }

    /// Opens a list of the component library and picks what is called so. A long list has no more lines in the page than
    /// can be seen, from where the chosen one stands: it is scrolled until the line comes, round once from its end.
    ///
    /// # Errors
    /// When it is not there.
    pub async fn picks(&self, css: &str, label: &str) -> Result<()> {
        self.click(&format!("{css} .v-field")).await?;
        self.until(&format!("{label} at {css}"), || async {
            let script = format!(
                "const lines = [...document.querySelectorAll('[role=option]')].filter((one) => one.checkVisibility());
                 const line = lines.find((one) => one.innerText.trim() === {label:?});
                 line?.click();
                 const list = lines[0]?.closest('.v-list');
                 if (!line && list) {{
                     const end = list.scrollTop + list.clientHeight >= list.scrollHeight - 1;
                     list.scrollTop = end ? 0 : list.scrollTop + list.clientHeight;
                 }}
                 return !!line"
            );
            Ok(self.script(&script).await? == true)
        })
        .await
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
        self.wait_for(what, || {
            let holds = holds();
            async { Ok(holds.await?.then_some(())) }
        })
        .await
    }

    /// Looks again and again until there is something, and gives it.
    async fn wait_for<T, F>(&self, what: &str, mut look: impl FnMut() -> F) -> Result<T>
    where
        F: Future<Output = Result<Option<T>>>,
    {
        let start = Instant::now();
        loop {
            // An element that is just being redrawn is looked for again.
            if let Ok(Some(found)) = look().await {
                return Ok(found);
            }
            if start.elapsed() > PATIENCE {
                bail!("waited in vain for {what}");
            }
            tokio::time::sleep(BETWEEN_LOOKS).await;
        }
    }

    /// The first element that a selector finds and that can be seen.
    ///
    /// # Errors
    /// When there is none in time.
    pub async fn find(&self, css: &str) -> Result<WebElement> {
        let script = format!("return {}", shown(css));
        let look = || async { Ok(self.driver().execute(&script, vec![]).await?.element().ok()) };
        self.wait_for(&format!("{css} to be seen"), look).await
    }

    /// How many elements a selector finds.
    ///
    /// # Errors
    /// When the browser cannot say.
    pub async fn count(&self, css: &str) -> Result<usize> {
        let count = self.script(&format!("return document.querySelectorAll({css:?}).length")).await?;
        Ok(usize::try_from(count.as_u64().context("no count")?)?)
    }

    /// The text to be seen at a selector.
    ///
    /// # Errors
    /// When there is nothing.
    pub async fn text(&self, css: &str) -> Result<String> {
        self.find(css).await?;
        self.text_now(css).await?.with_context(|| format!("nothing to be seen at {css}"))
    }

    /// The text to be seen at a selector now, if anything is. The page is asked for all of it at once: asked through
    /// the driver for the text of an element, it works for 0.2 s where the element is large.
    async fn text_now(&self, css: &str) -> Result<Option<String>> {
        let script = format!("const one = {}", shown(css));
        let script = format!(
            "{script}; return one && (one.innerText ?? one.textContent).replaceAll('\\u00a0', ' ').trim()"
        );
        Ok(self.script(&script).await?.as_str().map(str::to_owned))
    }

    /// Waits until some words are to be seen at a selector.
    ///
    /// # Errors
    /// When they are not in time; says what stood there instead.
    pub async fn sees(&self, css: &str, words: &str) -> Result<()> {
        let what = format!("“{words}” at {css}");
        let seen = self.until(&what, || async {
            Ok(self.text_now(css).await?.is_some_and(|text| text.contains(words)))
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
        let script = format!("return {} === undefined", shown(css));
        self.until(&format!("{css} to go"), || async { Ok(self.script(&script).await? == true) }).await
    }

    /// Clicks what a selector finds, once it is to be seen with nothing over it.
    ///
    /// # Errors
    /// When it cannot.
    pub async fn click(&self, css: &str) -> Result<()> {
        let script = format!(
            "const one = {};
            if (!one || one.disabled) return null;
            const middle = () => {{
                const {{ left, top, width, height }} = one.getClientRects()[0];
                return [left + width / 2, top + height / 2];
            }};
            const clear = () => {{
                const there = document.elementFromPoint(...middle());
                return one.contains(there) || [...(one.labels ?? [])].some((label) => label.contains(there));
            }};
            // It may lie under the doors at the foot of a phone: a person scrolls it up.
            if (!clear()) one.scrollIntoView({{ block: 'center' }});
            if (!clear()) return null;
            // A list that comes anew meanwhile has another element in this one's place, which was clicked as well.
            const hit = (at) => one.contains(at) || at.closest({css:?}) || at.closest('label')?.control === one;
            window.clickArrived = false;
            const seen = ({{ target }}) => (window.clickArrived ||= !!hit(target));
            document.removeEventListener('click', window.clickSeen, true);
            document.addEventListener('click', (window.clickSeen = seen), true);
            return middle()",
            shown(css)
        );
        let mouse = async |kind: &str, place: &serde_json::Value| {
            let event = serde_json::json!({
                "type": kind, "x": place[0], "y": place[1], "button": "left", "clickCount": 1,
            });
            self.driver().cdp().send_raw("Input.dispatchMouseEvent", event).await
        };
        self.until(&format!("{css} to be clicked"), || async {
            let place = self.script(&script).await?;
            if place.is_null() {
                return Ok(false);
            }
            mouse("mouseMoved", &place).await?;
            mouse("mousePressed", &place).await?;
            mouse("mouseReleased", &place).await?;
            // What moved or was redrawn under the mouse is clicked again; a page that is gone was left by the click.
            Ok(self.script("return window.clickArrived !== false").await? == true)
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

    /// Presses on at the bench, each press once the one before is counted, until the instruction is the one wanted.
    ///
    /// # Errors
    /// When it does not come.
    pub async fn presses_on(&self, wanted: impl Fn(&str) -> bool) -> Result<()> {
        const MOST: usize = 500;
        // What is to be done and the count of it are looked at together, and only where a press is waited for: the last
        // press of a step leads on to the next once it is answered, and what was read before that is of the step before.
        const SHOWN: &str = "const shown = (name) => document.querySelector(`[data-test=${name}]`);
                             if (!shown('press') || shown('press').disabled) return null;
                             return ['instruction', 'press'].map((name) => shown(name)?.innerText ?? '')";
        let mut before = serde_json::Value::Null;
        for _ in 0..MOST {
            let asks = || async {
                Ok(Some(self.script(SHOWN).await?).filter(|shown| !shown.is_null() && *shown != before))
            };
            let shown = self.wait_for("the next press to be waited for", asks).await?;
            if shown[0].as_str().is_some_and(&wanted) {
                return Ok(());
            }
            self.press(" ").await?;
            before = shown;
        }
        bail!("not there after {MOST} presses")
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
        // All at once as from the clipboard, but for a date, of which each part is typed.
        let script = format!(
            "const one = {};
            if (!one || one.disabled || one.readOnly) return null;
            one.focus();
            if (['date', 'time'].includes(one.type)) return 'part by part';
            one.select();
            return document.execCommand({text:?} ? 'insertText' : 'delete', false, {text:?}) || one.value === ''",
            shown(css)
        );
        let look = || async { Ok(Some(self.script(&script).await?).filter(|done| !done.is_null())) };
        let done = self.wait_for(&format!("{css} to be typed into"), look).await?;
        if done.is_string() {
            self.find(css).await?.send_keys(text).await?;
        } else {
            ensure!(done == true, "{text:?} cannot be typed at {css}");
        }
        Ok(())
    }

    /// Runs a script in the page.
    ///
    /// # Errors
    /// When it fails.
    pub async fn script(&self, script: &str) -> Result<serde_json::Value> {
        Ok(self.driver().execute(script, vec![]).await?.json().clone())
    }

    /// Lets every answer take so many milliseconds more, or none come.
    ///
    /// # Errors
    /// When the browser cannot.
    pub async fn network(&self, latency_ms: u32, offline: bool) -> Result<()> {
        let devtools = self.driver().cdp();
        devtools.send_raw("Network.enable", serde_json::json!({})).await?;
        let how = serde_json::json!({
            "offline": offline, "latency": latency_ms, "downloadThroughput": -1, "uploadThroughput": -1,
        });
        devtools.send_raw("Network.emulateNetworkConditions", how).await?;
        Ok(())
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
        if self.script("return !window.axe").await? == true {
            let axe = concat!(env!("CARGO_MANIFEST_DIR"), "/../../web/node_modules/axe-core/axe.min.js");
            let axe = std::fs::read_to_string(axe).context("axe-core is not installed: run npm ci in web")?;
            self.script(&format!("{axe}; window.axe = axe;")).await?;
        }
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
        // Refusals, a stopped server and a cut line, which a test provokes on purpose, are no accidents.
        let expected = |text: &str| {
            [
                "status of 4",
                "status of 503",
                "ERR_CONNECTION_REFUSED",
                // It was stopped in the middle of an answer.
                "ERR_CONNECTION_RESET",
                "ERR_EMPTY_RESPONSE",
                "ERR_INTERNET_DISCONNECTED",
                "Failed to fetch dynamically imported module",
            ]
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
