//! What the machine must have, installed where it can be.

use anyhow::{Result, bail};
use xshell::{Shell, cmd};

/// Node and npm, to build the front end.
pub fn needs_node(shell: &Shell) -> Result<()> {
    if has(shell, "npm") {
        return Ok(());
    }
    bail!("npm is missing: install Node.js 20 or newer, which brings it")
}

/// Chromium and ChromeDriver, from Debian's packages.
pub fn needs_browser(shell: &Shell) -> Result<()> {
    if has(shell, "chromium") && has(shell, "chromedriver") {
        return Ok(());
    }
    if !has(shell, "apt-get") {
        bail!("chromium and chromedriver are missing: install them, both of the same version");
    }
    let root = cmd!(shell, "id -u").read()?.trim() == "0";
    let sudo: &[&str] = if root { &[] } else { &["sudo"] };
    let apt = |arguments: &[&str]| {
        let mut words = sudo.to_vec();
        words.push("apt-get");
        words.extend(arguments);
        let (program, rest) = (words[0], &words[1..]);
        cmd!(shell, "{program} {rest...}").env("DEBIAN_FRONTEND", "noninteractive").run()
    };
    apt(&["update", "-qq"])?;
    apt(&["install", "-y", "-qq", "--no-install-recommends", "chromium", "chromium-driver"])?;
    Ok(())
}

fn has(shell: &Shell, program: &str) -> bool {
    cmd!(shell, "{program} --version").quiet().ignore_stdout().ignore_stderr().run().is_ok()
}
