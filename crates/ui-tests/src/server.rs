//! A server of its own for each test.

use std::path::{Path, PathBuf};
use std::process::Stdio;

use anyhow::{Context as _, Result, ensure};
use serde_json::{Value, json};
use tempfile::TempDir;
use tokio::io::{AsyncBufReadExt as _, BufReader};
use tokio::process::{Child, Command};
use tokio::sync::{Mutex, OnceCell};

use crate::client::{answer, ask, connect};

/// A running server with its data.
pub struct Server {
    folder: TempDir,
    running: Mutex<Option<Child>>,
    address: std::sync::Mutex<String>,
}

/// The program under test, built beside this one.
///
/// # Errors
/// When it is not there.
pub fn program() -> Result<PathBuf> {
    let here = std::env::current_exe()?;
    let folders = here.ancestors().skip(1).take(2);
    let found = folders.map(|folder| folder.join("lorimant")).find(|path| path.exists());
    found.context("lorimant is not built: run `cargo build --package lorimant` first")
}

impl Server {
    /// Starts one on a free port with the demo workshop in a new file.
    ///
    /// # Errors
    /// When it does not come up.
    pub async fn start() -> Result<Self> {
        let folder = tempfile::tempdir()?;
        let file = folder.path().join("workshop.lorimant");
        std::fs::copy(demo_workshop().await?, &file)?;
        let (child, address) = launch(&file, "0").await?;
        Ok(Self { folder, running: Mutex::new(Some(child)), address: address.into() })
    }

    /// The file it keeps its data in.
    #[must_use]
    pub fn file(&self) -> PathBuf {
        self.folder.path().join("workshop.lorimant")
    }

    /// Where that file lies.
    #[must_use]
    pub fn folder(&self) -> &Path {
        self.folder.path()
    }

    /// Where it can be reached: `http://127.0.0.1:port`.
    #[must_use]
    pub fn address(&self) -> String {
        self.address.lock().map(|address| address.clone()).unwrap_or_default()
    }

    /// Kills it as a power cut would and starts it again on the same file and port.
    ///
    /// # Errors
    /// When it does not come up again.
    pub async fn kill_and_restart(&self) -> Result<()> {
        self.stop().await;
        let address = self.address();
        let port = address.rsplit(':').next().unwrap_or("0").to_owned();
        let (child, _) = launch(&self.file(), &port).await?;
        *self.running.lock().await = Some(child);
        Ok(())
    }

    /// Starts it again on the same file, speaking English in other letters.
    ///
    /// # Errors
    /// When it does not come up again.
    pub async fn speak_pseudo(&self) -> Result<()> {
        self.stop().await;
        let mut command = Command::new(program()?);
        command.args(["serve", "--language", "pseudo", "--port", "0", "--data"]).arg(self.file());
        let (child, address) = started(&mut command).await?;
        *self.running.lock().await = Some(child);
        if let Ok(mut known) = self.address.lock() {
            *known = address;
        }
        Ok(())
    }

    /// Kills it.
    pub async fn stop(&self) {
        if let Some(mut child) = self.running.lock().await.take() {
            let _ = child.kill().await;
        }
    }
}

/// Closes what is under way in the demo, so that the batch a test begins is the only one.
async fn close_batches(address: &str) -> Result<()> {
    let mut stream = connect(address).await?;
    let (_, batches) = answer(&mut stream, "GET", "/api/batches", "").await?;
    let batches: Vec<Value> = serde_json::from_slice(&batches)?;
    for batch in batches {
        let body = json!({ "revision": batch["revision"], "archived": true }).to_string();
        ask(&mut stream, "POST", &format!("/api/batches/{}/archive", batch["id"]), &body).await?;
    }
    Ok(())
}

/// The demo workshop with no batch open: loaded once for all tests of a program, each of which takes a copy.
async fn demo_workshop() -> Result<&'static Path> {
    static LOADED: OnceCell<(TempDir, PathBuf)> = OnceCell::const_new();
    let load = || async {
        let folder = tempfile::tempdir()?;
        let file = folder.path().join("workshop.lorimant");
        let (mut server, address) = launch(&file, "0").await?;
        close_batches(&address).await?;
        // Asked to stop, it empties its log into the file.
        let server_id = server.id().context("the server ended at once")?.to_string();
        ensure!(Command::new("kill").arg(server_id).status().await?.success(), "it cannot be stopped");
        server.wait().await?;
        anyhow::Ok((folder, file))
    };
    Ok(&LOADED.get_or_try_init(load).await?.1)
}

/// Starts the program on a file and reads the address it prints.
///
/// # Errors
/// When it prints none.
pub async fn launch(file: &Path, port: &str) -> Result<(Child, String)> {
    started(Command::new(program()?).args(["serve", "--demo", "--port", port, "--data"]).arg(file)).await
}

/// Starts the program on a file that may not grow past so many bytes, as on a disk that fills up.
///
/// # Errors
/// When it prints no address.
pub async fn launch_on_a_full_disk(file: &Path, bytes: u64) -> Result<(Child, String)> {
    let script = format!("trap '' XFSZ; ulimit -f {}; exec \"$@\"", bytes.div_ceil(512));
    let mut command = Command::new("sh");
    command.args(["-c", &script, "sh"]).arg(program()?).args(["serve", "--port", "0", "--data"]).arg(file);
    started(command.stderr(Stdio::null())).await
}

/// What a second program says that is started on a file which is being served.
///
/// # Errors
/// When it cannot be started, or does serve it.
pub async fn refused(file: &Path) -> Result<String> {
    let second = Command::new(program()?).args(["serve", "--port", "0", "--data"]).arg(file).output().await?;
    ensure!(!second.status.success(), "a second server took the file");
    Ok(String::from_utf8_lossy(&second.stderr).into_owned())
}

/// Starts the program on a new file with nothing in it.
///
/// # Errors
/// When it prints no address.
pub async fn launch_empty(file: &Path) -> Result<(Child, String)> {
    started(Command::new(program()?).args(["serve", "--port", "0", "--data"]).arg(file)).await
}

async fn started(command: &mut Command) -> Result<(Child, String)> {
    let mut child = command.stdout(Stdio::piped()).kill_on_drop(true).spawn()?;
    let stdout = child.stdout.take().context("no standard output")?;
    let line = BufReader::new(stdout).lines().next_line().await?.context("the server ended at once")?;
    let address = line.split_whitespace().last().unwrap_or_default().trim_end_matches('/');
    Ok((child, address.to_owned()))
}
