//! The router in-process on a temporary workshop file, or the whole program on one.
#![allow(dead_code, clippy::unwrap_used, clippy::panic, missing_docs)]

use std::io::{BufRead as _, BufReader};
use std::ops::{Deref, DerefMut};
use std::path::Path;
use std::process::{Child, Command, Stdio};
use std::sync::OnceLock;

use axum::Router;
use axum::body::Body;
use axum::http::{Request, StatusCode, header};
use http_body_util::BodyExt as _;
use lorimant_server::{Instruments, Scale, Store, app, load_demo};
use serde_json::Value;
use tempfile::TempDir;
use tower::ServiceExt as _;

pub struct Workshop {
    pub folder: TempDir,
    pub store: Store,
    pub router: Router,
}

pub struct Reply {
    pub status: StatusCode,
    pub headers: axum::http::HeaderMap,
    pub bytes: Vec<u8>,
}

impl Reply {
    pub fn json(&self) -> Value {
        serde_json::from_slice(&self.bytes).unwrap_or_else(|_| panic!("{}", self.text()))
    }

    pub fn text(&self) -> String {
        String::from_utf8_lossy(&self.bytes).into_owned()
    }

    /// The sentence of the fault at a field.
    pub fn fault(&self, field: &str) -> String {
        let problem = self.json();
        let errors = problem["errors"].as_array().unwrap();
        let found = errors.iter().find(|error| error["field"] == field);
        found.unwrap_or_else(|| panic!("no fault at {field}: {problem}"))["message"]
            .as_str()
            .unwrap()
            .to_owned()
    }
}

pub const ADDRESS: &str = "127.0.0.1:4780";

/// A running program; it does not outlive the test, whatever becomes of that.
pub struct Running(Child);

impl Deref for Running {
    type Target = Child;

    fn deref(&self) -> &Child {
        &self.0
    }
}

impl DerefMut for Running {
    fn deref_mut(&mut self) -> &mut Child {
        &mut self.0
    }
}

impl Drop for Running {
    fn drop(&mut self) {
        let _ = self.0.kill();
        let _ = self.0.wait();
    }
}

/// Starts the program on a file; gives it and its address.
pub fn start(file: &Path) -> (Running, String) {
    started(Command::new(env!("CARGO_BIN_EXE_lorimant")).args(["serve", "--port", "0", "--data"]).arg(file))
}

/// Runs a command that starts the program; gives it and its address.
pub fn started(command: &mut Command) -> (Running, String) {
    let mut child = command.stdout(Stdio::piped()).spawn().unwrap();
    let mut line = String::new();
    BufReader::new(child.stdout.take().unwrap()).read_line(&mut line).unwrap();
    let address = line.split_whitespace().last().unwrap().to_owned();
    (Running(child), address)
}

/// A workshop's file: made once for all tests, each of which takes a copy.
fn file_of(fill: impl FnOnce(&Store)) -> Vec<u8> {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let store = Store::open(&file).unwrap();
    fill(&store);
    store.settle().unwrap();
    drop(store);
    std::fs::read(file).unwrap()
}

impl Workshop {
    pub fn empty() -> Self {
        static MADE: OnceLock<Vec<u8>> = OnceLock::new();
        Self::copied(MADE.get_or_init(|| file_of(|_| {})))
    }

    pub fn demo() -> Self {
        static MADE: OnceLock<Vec<u8>> = OnceLock::new();
        Self::copied(MADE.get_or_init(|| file_of(|store| load_demo(store).unwrap())))
    }

    fn copied(bytes: &[u8]) -> Self {
        let folder = tempfile::tempdir().unwrap();
        let file = folder.path().join("workshop.lorimant");
        std::fs::write(&file, bytes).unwrap();
        Self::of(folder, Store::open(&file).unwrap())
    }

    pub fn of(folder: TempDir, store: Store) -> Self {
        Self::with_scale(folder, store, Scale::simulated())
    }

    pub fn with_scale(folder: TempDir, store: Store, scale: Scale) -> Self {
        Self::with(folder, store, Instruments { scale, ..Instruments::simulated() })
    }

    pub fn with(folder: TempDir, store: Store, instruments: Instruments) -> Self {
        let router = app(store.clone(), ADDRESS.parse().unwrap(), &[], instruments).unwrap();
        Self { folder, store, router }
    }

    pub async fn send(&self, request: Request<Body>) -> Reply {
        let response = self.router.clone().oneshot(request).await.unwrap();
        let (status, headers) = (response.status(), response.headers().clone());
        let bytes = response.into_body().collect().await.unwrap().to_bytes().to_vec();
        Reply { status, headers, bytes }
    }

    pub async fn ask(&self, method: &str, path: &str, body: impl Into<Body>) -> Reply {
        let request = Request::builder().method(method).uri(path).header(header::HOST, ADDRESS);
        self.send(request.body(body.into()).unwrap()).await
    }

    pub async fn get(&self, path: &str) -> Reply {
        self.ask("GET", path, Body::empty()).await
    }

    pub async fn post(&self, path: &str, body: &Value) -> Reply {
        self.ask("POST", path, body.to_string()).await
    }

    pub async fn put(&self, path: &str, body: &Value) -> Reply {
        self.ask("PUT", path, body.to_string()).await
    }
}
