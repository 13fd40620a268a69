//! What people do with the file: copy it, move it, replace it, fill its disk, open it twice, hand over another's.
#![cfg(unix)]
#![allow(clippy::unwrap_used, missing_docs)]

use std::os::unix::fs::PermissionsExt as _;
use std::path::Path;
use std::process::{Command, Output, Stdio};
use std::time::{Duration, Instant};

use crate::common::{Running, start};
use lorimant_server::{Held, Store, StoreError};
use rstest::rstest;
use serde_json::{Value, json};

/// A server on a file of its own; stopped with the test.
struct Served {
    child: Running,
    address: String,
}

impl Served {
    fn on(file: &Path) -> Self {
        let (child, address) = start(file);
        Self { child, address }
    }

    /// Keeps a plan; gives the status and what was answered.
    fn keep(&self, name: &str) -> (u16, Value) {
        let agent: ureq::Agent = ureq::Agent::config_builder().http_status_as_error(false).build().into();
        let plan = json!({
            "name": name,
            "note": "reed ".repeat(60),
            "request": { "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } },
        });
        let mut answer = agent.post(format!("{}api/plans", self.address)).send_json(&plan).unwrap();
        (answer.status().as_u16(), answer.body_mut().read_json().unwrap())
    }
}

fn program(arguments: &[&str]) -> Output {
    Command::new(env!("CARGO_BIN_EXE_lorimant")).args(arguments).stdin(Stdio::null()).output().unwrap()
}

fn plans_in(file: &Path) -> i64 {
    let connection = rusqlite::Connection::open(file).unwrap();
    connection.query_row("SELECT count(*) FROM entries WHERE shelf = 'plan'", [], |row| row.get(0)).unwrap()
}

/// Waits for what must come about soon.
fn until(what: &str, mut holds: impl FnMut() -> bool) {
    let start = Instant::now();
    while !holds() {
        assert!(start.elapsed() < Duration::from_secs(10), "waited in vain for {what}");
        std::thread::sleep(Duration::from_millis(20));
    }
}

#[test]
fn a_copy_of_the_one_file_has_everything_once_there_is_a_pause() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let served = Served::on(&file);
    for n in 0..30 {
        assert_eq!(served.keep(&format!("plan {n}")).0, 201);
    }
    let mut copies = 0;
    until("all thirty plans in the one file", || {
        copies += 1;
        let copy = folder.path().join(format!("copy-{copies}.lorimant"));
        std::fs::copy(&file, &copy).unwrap();
        rusqlite::Connection::open(&copy)
            .unwrap()
            .query_row("SELECT count(*) FROM entries WHERE shelf = 'plan'", [], |row| row.get::<_, i64>(0))
            .is_ok_and(|n| n == 30)
    });
}

#[test]
fn after_a_stop_nothing_lies_beside_the_file() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let mut served = Served::on(&file);
    assert_eq!(served.keep("the last").0, 201);
    Command::new("kill").args(["-TERM", &served.child.id().to_string()]).status().unwrap();
    assert!(served.child.wait().unwrap().success());
    let copy = folder.path().join("copy.lorimant");
    std::fs::copy(&file, &copy).unwrap();
    assert_eq!(plans_in(&copy), 1);
}

#[test]
fn a_file_moved_or_replaced_underneath_is_no_longer_written_to() {
    let folder = tempfile::tempdir().unwrap();
    let (file, away) = (folder.path().join("workshop.lorimant"), folder.path().join("elsewhere.lorimant"));
    let served = Served::on(&file);
    assert_eq!(served.keep("before").0, 201);
    std::fs::rename(&file, &away).unwrap();
    let (status, problem) = served.keep("after it was moved");
    let text = problem["detail"].as_str().unwrap().to_owned();
    assert_eq!(status, 503, "{text}");
    assert!(text.starts_with("Nothing was changed: the workshop's file is no longer at /"), "{text}");
    std::fs::copy(&away, &file).unwrap();
    let (status, problem) = served.keep("after another was put there");
    assert_eq!(status, 503);
    assert!(problem["detail"].as_str().unwrap().contains("another file was put in the place"));
    // Put back, it goes on.
    std::fs::rename(&away, &file).unwrap();
    assert_eq!(served.keep("put back").0, 201);
    drop(served);
    assert_eq!(plans_in(&file), 2);
}

#[test]
fn one_file_has_one_server() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let served = Served::on(&file);
    let link = folder.path().join("by another name.lorimant");
    std::os::unix::fs::symlink(&file, &link).unwrap();
    for name in [&file, &link] {
        let second = program(&["serve", "--port", "0", "--data", name.to_str().unwrap()]);
        assert!(!second.status.success());
        let text = String::from_utf8(second.stderr).unwrap();
        let wanted =
            format!("another Lorimant is serving this file already, at {}. Use that one", served.address);
        assert!(text.contains(&wanted), "{text}");
    }
    assert_eq!(served.keep("undisturbed").0, 201);
    drop(served);
    assert_eq!(Served::on(&file).keep("the next one").0, 201);
}

#[rstest]
#[case::another_programs(
    "CREATE TABLE songs (name TEXT); INSERT INTO songs VALUES ('barcarole');",
    "another program"
)]
#[case::signed_by_another("PRAGMA application_id = 252006673; CREATE TABLE entries (id);", "another program")]
#[case::newer(
    "PRAGMA application_id = 1282372201; PRAGMA user_version = 99; CREATE TABLE entries (id);",
    "newer"
)]
fn a_strangers_file_is_left_as_it_is(#[case] made: &str, #[case] text: &str) {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("other.db");
    rusqlite::Connection::open(&file).unwrap().execute_batch(made).unwrap();
    let before = std::fs::read(&file).unwrap();
    let refused = Store::open(&file).err().unwrap();
    assert!(refused.to_string().contains(text), "{refused}");
    assert_eq!(std::fs::read(&file).unwrap(), before, "it was changed");
    assert_eq!(std::fs::read_dir(folder.path()).unwrap().count(), 1, "something was left beside it");
}

#[test]
fn what_is_no_database_is_left_as_it_is() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("letter.txt");
    let letter = "Dear Ferryman, forty pairs by Friday. ".repeat(40);
    std::fs::write(&file, &letter).unwrap();
    assert!(matches!(Store::open(&file), Err(StoreError::Stranger)));
    assert_eq!(std::fs::read_to_string(&file).unwrap(), letter);
}

#[test]
fn the_file_is_its_owners_alone_and_held_once() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let _held = Held::take(&file).unwrap();
    assert!(matches!(Held::take(&file), Err(StoreError::Held(None))));
    Store::open(&file).unwrap();
    assert_eq!(std::fs::metadata(&file).unwrap().permissions().mode() & 0o777, 0o600);
}

#[test]
fn a_backup_is_whole_and_never_goes_over_a_file() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let to = folder.path().join("backup.lorimant");
    let (data, copy) = (file.to_str().unwrap().to_owned(), to.to_str().unwrap().to_owned());
    let served = Served::on(&file);
    for n in 0..5 {
        assert_eq!(served.keep(&format!("plan {n}")).0, 201);
    }
    let done = program(&["backup", "--data", &data, "--to", &copy]);
    assert!(done.status.success(), "{}", String::from_utf8_lossy(&done.stderr));
    assert_eq!(std::fs::metadata(&to).unwrap().permissions().mode() & 0o777, 0o600);
    let again = program(&["backup", "--data", &data, "--to", &copy]);
    assert!(!again.status.success());
    assert!(String::from_utf8_lossy(&again.stderr).contains("there is a file called"));
    let missing = program(&["backup", "--data", "/nowhere/at/all", "--to", &copy]);
    assert!(!missing.status.success());
    // The copy is a workshop of its own.
    let other = Served::on(&to);
    assert_eq!(other.keep("in the copy").0, 201);
    drop(other);
    assert_eq!(plans_in(&to), 6);
    drop(served);
    assert_eq!(plans_in(&file), 5);
}

/// A disk without room stands in a limit on how large a file may grow.
#[test]
fn without_room_nothing_acknowledged_is_lost_and_the_rest_is_said() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    drop(Served::on(&file));
    let served = format!(
        "trap '' XFSZ; ulimit -f 320; exec {} serve --port 0 --data '{}'",
        env!("CARGO_BIN_EXE_lorimant"),
        file.display()
    );
    let (child, address) =
        crate::common::started(Command::new("sh").args(["-c", &served]).stderr(Stdio::null()));
    let served = Served { child, address };
    let mut kept = 0;
    let (status, problem) = loop {
        let (status, answer) = served.keep(&format!("plan {kept}"));
        if status != 201 {
            break (status, answer);
        }
        kept += 1;
        assert!(kept < 5000, "the limit was never met");
    };
    assert_eq!(status, 503, "{problem}");
    assert!(problem["detail"].as_str().unwrap().starts_with("Nothing was changed: "), "{problem}");
    drop(served);
    let served = Served::on(&file);
    assert_eq!(served.keep("with room again").0, 201);
    drop(served);
    assert_eq!(plans_in(&file), kept + 1);
}
