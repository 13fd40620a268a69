//! Copies put back, copies put over the open file, a log that another file left, damage, a passphrase changed underneath.
#![cfg(unix)]
#![allow(clippy::unwrap_used, missing_docs)]

use std::io::{Seek as _, SeekFrom, Write as _};
use std::path::Path;
use std::process::{Command, Output, Stdio};

use axum::body::Body;
use axum::http::{Request, StatusCode};
use lorimant_server::{Held, Store, StoreError};
use serde_json::{Value, json};

use crate::common::{ADDRESS, Workshop, start};

fn plan(name: &str) -> Value {
    json!({
        "name": name,
        "request": { "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } },
    })
}

async fn keep(workshop: &Workshop, name: &str) {
    assert_eq!(workshop.post("/api/plans", &plan(name)).await.status, StatusCode::CREATED);
}

async fn names(workshop: &Workshop) -> Vec<String> {
    let plans = workshop.get("/api/plans").await.json();
    let entries = plans["entries"].as_array().unwrap();
    let mut names: Vec<String> =
        entries.iter().map(|entry| entry["record"]["name"].as_str().unwrap().to_owned()).collect();
    names.sort();
    names
}

fn file_of(workshop: &Workshop) -> std::path::PathBuf {
    std::fs::read_dir(workshop.folder.path())
        .unwrap()
        .map(|entry| entry.unwrap().path())
        .find(|path| path.extension().is_some_and(|end| end == "lorimant"))
        .unwrap()
}

fn program(arguments: &[&str]) -> Output {
    Command::new(env!("CARGO_BIN_EXE_lorimant")).args(arguments).stdin(Stdio::null()).output().unwrap()
}

fn text(output: &Output) -> String {
    format!("{}{}", String::from_utf8_lossy(&output.stdout), String::from_utf8_lossy(&output.stderr))
}

async fn restore(workshop: &Workshop, bytes: Vec<u8>) -> crate::common::Reply {
    let request = Request::post("/api/restore").header("host", ADDRESS).body(Body::from(bytes)).unwrap();
    workshop.send(request).await
}

#[tokio::test]
async fn a_backup_is_put_back_while_the_server_runs_and_what_it_replaces_is_kept() {
    let workshop = Workshop::empty();
    keep(&workshop, "first").await;
    let backup = workshop.get("/api/backup").await.bytes;
    keep(&workshop, "second").await;
    let reply = restore(&workshop, backup).await;
    assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    assert_eq!(names(&workshop).await, ["first"]);
    // What was written goes on from there.
    keep(&workshop, "third").await;
    assert_eq!(names(&workshop).await, ["first", "third"]);
    // What it replaced is there, by its name, and is put back the same way.
    let copies = workshop.get("/api/copies").await.json();
    let name = reply.json()["kept"].as_str().unwrap().to_owned();
    assert_eq!((&copies[0]["name"], &copies[0]["why"]), (&json!(name), &json!("before-restore")));
    let path = format!("/api/copies/{}/restore", name.replace(' ', "%20"));
    let back = workshop.post(&path, &json!({})).await;
    assert_eq!(back.status, StatusCode::OK, "{}", back.text());
    assert_eq!(names(&workshop).await, ["first", "second"]);
}

#[tokio::test]
async fn what_is_no_sound_copy_is_refused_and_nothing_is_changed() {
    let workshop = Workshop::empty();
    keep(&workshop, "mine").await;
    let backup = workshop.get("/api/backup").await.bytes;
    let mut damaged = backup.clone();
    let pages = damaged.len() / 4096;
    for page in 1..pages {
        damaged[page * 4096..page * 4096 + 64].fill(0xAB);
    }
    let cut = backup[..backup.len() / 2].to_vec();
    for (what, bytes) in
        [("damaged", damaged), ("cut", cut), ("text", b"Dear Ferryman".repeat(400)), ("empty", vec![])]
    {
        let reply = restore(&workshop, bytes).await;
        assert!(reply.status.is_client_error() || reply.status.is_server_error(), "{what}: {}", reply.text());
        assert_eq!(names(&workshop).await, ["mine"], "{what}");
    }
    let missing = workshop.post("/api/copies/..%2F..%2Fetc%2Fpasswd/restore", &json!({})).await;
    assert_eq!(missing.status, StatusCode::NOT_FOUND);
    assert_eq!(workshop.get("/api/copies").await.json(), json!([]), "nothing was replaced");
}

#[tokio::test]
async fn the_command_line_checks_and_restores() {
    let workshop = Workshop::empty();
    keep(&workshop, "kept").await;
    let file = file_of(&workshop);
    let copy = workshop.folder.path().join("copy.backup");
    workshop.store.back_up(&copy).unwrap();
    keep(&workshop, "later").await;
    let Workshop { folder, store, router } = workshop;
    store.settle().unwrap();
    drop((store, router));
    let (data, from) = (file.to_str().unwrap(), copy.to_str().unwrap());
    let checked = program(&["check", "--data", data]);
    assert!(checked.status.success() && text(&checked).contains("is sound"), "{}", text(&checked));
    let restored = program(&["restore", "--from", from, "--data", data]);
    assert!(restored.status.success(), "{}", text(&restored));
    assert!(text(&restored).contains("is kept in"), "{}", text(&restored));
    let workshop = Workshop::of(folder, Store::open(&file).unwrap());
    assert_eq!(names(&workshop).await, ["kept"]);
    // A file whose kept sum is not that of its lines is not sound.
    let odd = workshop.folder.path().join("odd.backup");
    workshop.store.back_up(&odd).unwrap();
    let connection = rusqlite::Connection::open(&odd).unwrap();
    connection
        .execute_batch("PRAGMA foreign_keys = OFF; INSERT INTO lots_left (lot, amount) VALUES (999, 5000);")
        .unwrap();
    drop(connection);
    let checked = program(&["check", "--data", odd.to_str().unwrap()]);
    assert!(!checked.status.success() && text(&checked).contains("Lot 999"), "{}", text(&checked));
    let refused = program(&["restore", "--from", odd.to_str().unwrap(), "--data", data]);
    assert!(!refused.status.success(), "{}", text(&refused));
}

fn post(address: &str, name: &str) -> (u16, Value) {
    let agent: ureq::Agent = ureq::Agent::config_builder().http_status_as_error(false).build().into();
    let mut answer = agent.post(format!("{address}api/plans")).send_json(plan(name)).unwrap();
    (answer.status().as_u16(), answer.body_mut().read_json().unwrap())
}

fn plans_in(file: &Path) -> Vec<String> {
    let connection = rusqlite::Connection::open(file).unwrap();
    let mut rows = connection
        .prepare("SELECT record ->> '$.name' FROM entries WHERE shelf = 'plan' ORDER BY id")
        .unwrap();
    let names = rows.query_map([], |row| row.get(0)).unwrap();
    names.collect::<Result<_, _>>().unwrap()
}

/// A server killed with writes in the log; the file beside it, and a copy from before those writes.
fn killed_with_a_log(folder: &Path) -> (std::path::PathBuf, Vec<u8>) {
    let file = folder.join("workshop.lorimant");
    let (mut child, address) = start(&file);
    assert_eq!(post(&address, "before the copy").0, 201);
    std::thread::sleep(std::time::Duration::from_millis(600));
    let copy = folder.join("old.backup");
    assert!(
        program(&["backup", "--data", file.to_str().unwrap(), "--to", copy.to_str().unwrap()])
            .status
            .success()
    );
    for n in 0..5 {
        assert_eq!(post(&address, &format!("carried over {n}")).0, 201);
    }
    std::thread::sleep(std::time::Duration::from_millis(600));
    for n in 0..5 {
        assert_eq!(post(&address, &format!("in the log {n}")).0, 201);
    }
    child.kill().unwrap();
    child.wait().unwrap();
    let old = std::fs::read(&copy).unwrap();
    std::fs::remove_file(&copy).unwrap();
    (file, old)
}

#[test]
fn a_log_that_is_the_files_own_is_carried_over() {
    let folder = tempfile::tempdir().unwrap();
    let (file, _) = killed_with_a_log(folder.path());
    assert!(
        std::fs::metadata(file.with_extension("lorimant-wal")).unwrap().len() > 0,
        "nothing was in the log"
    );
    let _held = Held::take(&file).unwrap();
    drop(Store::open(&file).unwrap());
    assert_eq!(plans_in(&file).len(), 11);
}

#[test]
fn a_copy_put_beside_a_leftover_log_stays_what_it_is() {
    let folder = tempfile::tempdir().unwrap();
    let (file, old) = killed_with_a_log(folder.path());
    std::fs::write(&file, old).unwrap();
    let _held = Held::take(&file).unwrap();
    let store = Store::open(&file).unwrap();
    assert_eq!(store.logs_set_aside().len(), 1, "it is told");
    store.settle().unwrap();
    drop(store);
    assert_eq!(plans_in(&file), ["before the copy"]);
    let aside = std::fs::read_dir(folder.path())
        .unwrap()
        .filter(|entry| entry.as_ref().unwrap().file_name().to_string_lossy().contains("-log-set-aside-"));
    assert_eq!(aside.count(), 1, "the log is kept");
    let found = Store::check_file(&file).unwrap();
    assert!(found.problems.is_empty(), "{:?}", found.problems);
}

/// The same inode: `cp` writes into the file that is open, and emptying it does.
#[test]
fn what_is_written_over_underneath_is_noticed_and_left_alone() {
    for emptied in [false, true] {
        let folder = tempfile::tempdir().unwrap();
        let file = folder.path().join("workshop.lorimant");
        let other = folder.path().join("other.backup");
        let (mut child, address) = start(&file);
        assert_eq!(post(&address, "theirs").0, 201);
        let copied = program(&["backup", "--data", file.to_str().unwrap(), "--to", other.to_str().unwrap()]);
        assert!(copied.status.success());
        assert_eq!(post(&address, "mine").0, 201);
        std::thread::sleep(std::time::Duration::from_millis(600));
        let over = if emptied { vec![] } else { std::fs::read(&other).unwrap() };
        std::fs::write(&file, &over).unwrap();
        let (status, problem) = post(&address, "after");
        let detail = problem["detail"].as_str().unwrap();
        assert_eq!(status, 503, "{problem}");
        assert!(detail.starts_with("Nothing was changed: something else wrote over"), "{detail}");
        let agent: ureq::Agent = ureq::Agent::config_builder().http_status_as_error(false).build().into();
        assert_eq!(agent.get(format!("{address}api/health")).call().unwrap().status().as_u16(), 503);
        Command::new("kill").args(["-TERM", &child.id().to_string()]).status().unwrap();
        child.wait().unwrap();
        assert_eq!(std::fs::read(&file).unwrap(), over, "what was put there is left as it was put");
        if !emptied {
            let _held = Held::take(&file).unwrap();
            drop(Store::open(&file).unwrap());
            assert_eq!(plans_in(&file), ["theirs"]);
        }
    }
}

/// How others got at the file of a running server.
#[derive(Debug, Clone, Copy)]
enum Meddling {
    /// A backup was copied into it.
    Written,
    /// A backup was moved to where it was.
    Replaced,
    /// It was emptied.
    Emptied,
    /// It was removed.
    Removed,
}

/// The running server goes on with what is there, or with a copy, and keeps what it finds.
#[rstest::rstest]
#[case(Meddling::Written)]
#[case(Meddling::Replaced)]
#[case(Meddling::Emptied)]
#[case(Meddling::Removed)]
#[tokio::test]
async fn a_running_server_is_brought_to_a_sound_file_again(#[case] meddling: Meddling) {
    let workshop = Workshop::empty();
    let file = file_of(&workshop);
    keep(&workshop, "theirs").await;
    let backup = workshop.get("/api/backup").await.bytes;
    keep(&workshop, "mine").await;
    let wait = tokio::time::Duration::from_millis(600);
    tokio::time::sleep(wait).await;
    match meddling {
        Meddling::Written => std::fs::write(&file, &backup).unwrap(),
        Meddling::Replaced => {
            let beside = workshop.folder.path().join("beside");
            std::fs::write(&beside, &backup).unwrap();
            std::fs::rename(&beside, &file).unwrap();
        }
        Meddling::Emptied => std::fs::write(&file, []).unwrap(),
        Meddling::Removed => std::fs::remove_file(&file).unwrap(),
    }
    assert_eq!(workshop.post("/api/plans", &plan("lost")).await.status, StatusCode::SERVICE_UNAVAILABLE);
    let state = workshop.get("/api/file").await.json();
    assert!(state["only_read"].is_string(), "{state}");
    assert_eq!(state["replaced"], json!(!matches!(meddling, Meddling::Removed)));
    let used = workshop.post("/api/file/use", &json!({})).await;
    let usable = matches!(meddling, Meddling::Written | Meddling::Replaced);
    if usable {
        assert_eq!(used.status, StatusCode::OK, "{}", used.text());
    } else {
        assert_eq!(used.status, StatusCode::UNPROCESSABLE_ENTITY, "{}", used.text());
        let reply = restore(&workshop, backup.clone()).await;
        assert_eq!(reply.status, StatusCode::OK, "{}", reply.text());
    }
    assert_eq!(names(&workshop).await, ["theirs"]);
    // Pressed a second time, in another window, it changes nothing.
    let again = workshop.post("/api/file/use", &json!({})).await;
    assert_eq!(again.status, StatusCode::UNPROCESSABLE_ENTITY, "{}", again.text());
    keep(&workshop, "after").await;
    let state = workshop.get("/api/file").await.json();
    assert!(state["only_read"].is_null() && state["replaced"] == json!(false), "{state}");
    // What was found is kept as it was.
    let copies = workshop.get("/api/copies").await.json();
    let kept = copies.as_array().unwrap().iter().filter(|copy| copy["why"] == "before-restore").count();
    assert_eq!(kept, usize::from(!matches!(meddling, Meddling::Removed)));
    // Another server is kept away from the new file as from the old one.
    let path = file.clone();
    let second = tokio::task::spawn_blocking(move || Held::take(&path).map(drop)).await.unwrap();
    assert!(matches!(second, Err(StoreError::Held(_))), "{second:?}");
    tokio::time::sleep(wait).await;
    assert_eq!(plans_in(&file), ["theirs", "after"], "it is in the one file");
}

/// A file that is as it was opened needs no such thing.
#[tokio::test]
async fn a_file_nobody_touched_is_not_put_in_its_own_place() {
    let workshop = Workshop::empty();
    keep(&workshop, "mine").await;
    let used = workshop.post("/api/file/use", &json!({})).await;
    assert_eq!(used.status, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(names(&workshop).await, ["mine"]);
}

/// Pages that are damaged are found at the start: what can be read is read, nothing is written.
#[test]
fn a_damaged_file_is_read_and_not_written() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let store = Store::open(&file).unwrap();
    lorimant_server::load_demo(&store).unwrap();
    store.settle().unwrap();
    drop(store);
    let sound = std::fs::read(&file).unwrap();
    let mut seed = 20_261_129_u64;
    let mut random = |below: usize| {
        seed = seed.wrapping_mul(6_364_136_223_846_793_005).wrapping_add(1_442_695_040_888_963_407);
        (seed >> 33) as usize % below
    };
    let (mut refused, mut only_read, mut unharmed) = (0, 0, 0);
    for round in 0..200 {
        let mut bytes = sound.clone();
        if round % 4 == 3 {
            bytes.truncate(random(bytes.len()));
        } else {
            for _ in 0..=random(40) {
                let at = random(bytes.len());
                bytes[at] ^= 1 << random(8);
            }
        }
        std::fs::write(&file, &bytes).unwrap();
        for beside in ["lorimant-wal", "lorimant-shm"] {
            let _ = std::fs::remove_file(file.with_extension(beside));
        }
        match Store::open(&file) {
            Err(_) => {
                refused += 1;
                assert_eq!(
                    std::fs::read(&file).unwrap(),
                    bytes,
                    "round {round}: a file that is refused is left as it is"
                );
            }
            Ok(store) if store.only_read().is_some() => {
                only_read += 1;
                assert!(matches!(store.set_passphrase_hash("no"), Err(StoreError::ReadOnly(_))));
                drop(store);
                assert_eq!(
                    std::fs::read(&file).unwrap(),
                    bytes,
                    "round {round}: a damaged file was written to"
                );
            }
            Ok(_) => unharmed += 1,
        }
    }
    assert!(only_read > 20, "{refused} refused, {only_read} only read, {unharmed} unharmed");
}

/// No room for the log: what is there is shown, and said why nothing is written.
#[test]
fn without_room_the_workshop_opens_and_can_be_read() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let (mut child, address) = start(&file);
    assert_eq!(post(&address, "kept").0, 201);
    Command::new("kill").args(["-TERM", &child.id().to_string()]).status().unwrap();
    child.wait().unwrap();
    let served = format!(
        "trap '' XFSZ; ulimit -f 8; exec {} serve --port 0 --data '{}'",
        env!("CARGO_BIN_EXE_lorimant"),
        file.display()
    );
    let (mut child, address) =
        crate::common::started(Command::new("sh").args(["-c", &served]).stderr(Stdio::null()));
    let agent: ureq::Agent = ureq::Agent::config_builder().http_status_as_error(false).build().into();
    let plans: Value =
        agent.get(format!("{address}api/plans")).call().unwrap().body_mut().read_json().unwrap();
    assert_eq!(plans["total"], 1);
    let of_the_file: Value =
        agent.get(format!("{address}api/file")).call().unwrap().body_mut().read_json().unwrap();
    let told = of_the_file["only_read"].as_str().unwrap();
    assert!(
        told.starts_with("Nothing is saved for now: the disk with the workshop's file is full"),
        "{told}"
    );
    let (status, problem) = post(&address, "more");
    assert_eq!(status, 503, "{problem}");
    assert!(
        problem["detail"].as_str().unwrap().contains("the disk with the workshop's file is full"),
        "{problem}"
    );
    child.kill().unwrap();
    child.wait().unwrap();
}

#[test]
fn a_new_passphrase_ends_every_session_of_a_running_server() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let (mut child, address) = start(&file);
    let agent: ureq::Agent = ureq::Agent::config_builder().http_status_as_error(false).build().into();
    let status = || agent.get(format!("{address}api/plans")).call().unwrap().status().as_u16();
    assert_eq!(status(), 200);
    let mut setting = Command::new(env!("CARGO_BIN_EXE_lorimant"))
        .args(["passphrase", "--data", file.to_str().unwrap()])
        .stdin(Stdio::piped())
        .stderr(Stdio::null())
        .spawn()
        .unwrap();
    setting.stdin.take().unwrap().write_all(b"a ferry in the evening\n").unwrap();
    assert!(setting.wait().unwrap().success());
    let start = std::time::Instant::now();
    while status() == 200 {
        assert!(start.elapsed().as_secs() < 10, "the server never knew");
        std::thread::sleep(std::time::Duration::from_millis(50));
    }
    assert_eq!(status(), 401);
    child.kill().unwrap();
    child.wait().unwrap();
}

/// A copy of the day is made once a day, and older ones go.
#[test]
fn the_days_copy_is_made_once() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let store = Store::open(&file).unwrap();
    assert!(store.copy_of_the_day().unwrap().is_some());
    assert!(store.copy_of_the_day().unwrap().is_none());
    let copies = store.copies();
    assert_eq!(copies.len(), 1);
    assert!(Store::check_file(&copies[0].path).unwrap().problems.is_empty());
    let mut old = std::fs::OpenOptions::new().write(true).open(&copies[0].path).unwrap();
    old.seek(SeekFrom::Start(0)).unwrap();
    let long_ago = std::time::SystemTime::now() - std::time::Duration::from_secs(30 * 3600);
    old.set_modified(long_ago).unwrap();
    assert!(store.copy_of_the_day().unwrap().is_some());
}

/// A restore is acknowledged: a kill right after it, before the log is carried over, takes nothing of it back.
#[test]
fn a_restore_survives_a_kill_right_after_it() {
    let folder = tempfile::tempdir().unwrap();
    let (file, copy) = (folder.path().join("workshop.lorimant"), folder.path().join("copy.backup"));
    let store = Store::open(&file).unwrap();
    store.set_passphrase_hash("of the copy").unwrap();
    store.back_up(&copy).unwrap();
    lorimant_server::load_demo(&store).unwrap();
    store.set_passphrase_hash("of this machine").unwrap();
    store.settle().unwrap();
    store.restore(&copy).unwrap();
    // What a kill leaves: the file and the log as they are now.
    let after = folder.path().join("after.lorimant");
    std::fs::copy(file.with_extension("lorimant-wal"), after.with_extension("lorimant-wal")).unwrap();
    std::fs::copy(&file, &after).unwrap();
    let _held = Held::take(&after).unwrap();
    let killed = Store::open(&after).unwrap();
    assert_eq!(plans_in(&after).len(), 0, "the demo's plans were replaced");
    assert_eq!(killed.passphrase_hash().unwrap().as_deref(), Some("of this machine"));
}

/// The case a restore is for: the damaged file is kept as it is, and the copy takes its place.
#[test]
fn a_damaged_file_is_restored_by_the_command_line() {
    let folder = tempfile::tempdir().unwrap();
    let (file, copy) = (folder.path().join("workshop.lorimant"), folder.path().join("copy.backup"));
    let store = Store::open(&file).unwrap();
    lorimant_server::load_demo(&store).unwrap();
    store.settle().unwrap();
    store.back_up(&copy).unwrap();
    let wanted = plans_in(&copy);
    drop(store);
    let mut bytes = std::fs::read(&file).unwrap();
    for page in 2..bytes.len() / 4096 {
        bytes[page * 4096..page * 4096 + 64].fill(0xAB);
    }
    std::fs::write(&file, &bytes).unwrap();
    assert!(Store::open(&file).unwrap().only_read().is_some_and(|why| why.contains("Restore a copy")));
    let (from, data) = (copy.to_str().unwrap(), file.to_str().unwrap());
    let restored = program(&["restore", "--from", from, "--data", data]);
    assert!(restored.status.success(), "{}", text(&restored));
    let store = Store::open(&file).unwrap();
    assert!(store.only_read().is_none());
    assert_eq!(std::fs::read(&store.copies()[0].path).unwrap(), bytes, "the damaged one is kept");
    drop(store);
    assert_eq!(plans_in(&file), wanted);
    assert!(Store::check_file(&file).unwrap().problems.is_empty());
}

/// A copy of an older form is brought up to date before it takes anything's place.
#[test]
fn a_copy_of_an_older_form_is_restored() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let store = Store::open(&file).unwrap();
    for version in [1, 3, 8] {
        let old = format!("{}/tests/frozen/version-{version}.lorimant", env!("CARGO_MANIFEST_DIR"));
        store.restore(Path::new(&old)).unwrap();
        store.settle().unwrap();
        let records = |path: &Path| -> i64 {
            let connection = rusqlite::Connection::open(path).unwrap();
            connection.query_row("SELECT count(*) FROM entries", [], |row| row.get(0)).unwrap()
        };
        let copy = folder.path().join("old.lorimant");
        std::fs::copy(&old, &copy).unwrap();
        assert_eq!(records(&file), records(&copy), "version {version}");
        assert!(Store::check_file(&file).unwrap().problems.is_empty());
    }
}
