//! A server killed under writes, again and again: the file opens, every acknowledged plan is there.
#![allow(clippy::unwrap_used, missing_docs)]

use std::collections::HashSet;
use std::path::Path;
use std::sync::atomic::{AtomicBool, Ordering};
use std::sync::{Arc, Mutex};

use crate::common::start;
use lorimant_server::Store;
use serde_json::{Value, json};

const KILLS: usize = 200;

/// Keeps plans one after another until the server is gone; notes each that was acknowledged.
fn write(address: &str, round: usize, writer: usize, acknowledged: &Mutex<Vec<String>>, stop: &AtomicBool) {
    let agent = ureq::Agent::new_with_defaults();
    for n in 0.. {
        let name = format!("round {round} writer {writer} plan {n}");
        let plan = json!({
            "name": name,
            "request": { "wire": { "metal": "copper", "size_mm": 1 }, "mandrel": { "diameter_mm": 5 } },
        });
        match agent.post(format!("{address}api/plans")).send_json(&plan) {
            Ok(mut answer) => {
                let kept: Result<Value, _> = answer.body_mut().read_json();
                if kept.is_ok_and(|kept| kept["entry"]["record"]["name"] == name.as_str()) {
                    acknowledged.lock().unwrap().push(name);
                }
            }
            Err(_) => return,
        }
        if stop.load(Ordering::Relaxed) {
            return;
        }
    }
}

/// A connection to a copy of a file, of that one file and nothing beside it.
fn copy_of(file: &Path, copy: &Path) -> rusqlite::Connection {
    for beside in ["", "-wal", "-shm"] {
        let mut old = copy.as_os_str().to_owned();
        old.push(beside);
        let _ = std::fs::remove_file(old);
    }
    std::fs::copy(file, copy).unwrap();
    rusqlite::Connection::open(copy).unwrap()
}

fn names_in(connection: &rusqlite::Connection) -> HashSet<String> {
    let mut names = connection.prepare("SELECT name FROM entries").unwrap();
    let names = names.query_map([], |row| row.get(0)).unwrap();
    names.collect::<Result<_, _>>().unwrap()
}

#[test]
fn no_acknowledged_plan_is_lost_in_two_hundred_kills() {
    let folder = tempfile::tempdir().unwrap();
    let file = folder.path().join("workshop.lorimant");
    let acknowledged = Arc::new(Mutex::new(vec![]));
    for round in 0..KILLS {
        let (mut child, address) = start(&file);
        // Whoever copies the one file while the server runs on it has everything.
        let names = names_in(&copy_of(&file, &folder.path().join("copy.lorimant")));
        for name in acknowledged.lock().unwrap().iter() {
            assert!(names.contains(name), "{name} was acknowledged and is not in the copy of round {round}");
        }
        let stop = Arc::new(AtomicBool::new(false));
        let before = acknowledged.lock().unwrap().len();
        let writers: Vec<_> = (0..2)
            .map(|writer| {
                let (address, acknowledged, stop) = (address.clone(), acknowledged.clone(), stop.clone());
                std::thread::spawn(move || write(&address, round, writer, &acknowledged, &stop))
            })
            .collect();
        // Killed as soon as a few writes are through, at whatever the others are in the middle of.
        let enough = before + 1 + round % 5;
        while acknowledged.lock().unwrap().len() < enough {
            std::thread::yield_now();
        }
        child.kill().unwrap();
        child.wait().unwrap();
        stop.store(true, Ordering::Relaxed);
        for writer in writers {
            writer.join().unwrap();
        }
    }
    drop(Store::open(&file).unwrap());
    let connection = rusqlite::Connection::open(&file).unwrap();
    let sound: String = connection.query_row("PRAGMA integrity_check", [], |row| row.get(0)).unwrap();
    assert_eq!(sound, "ok");
    let acknowledged = acknowledged.lock().unwrap();
    assert!(acknowledged.len() >= KILLS);
    for name in acknowledged.iter() {
        let there: i64 = connection
            .query_row("SELECT count(*) FROM entries WHERE name = ?1", [name], |row| row.get(0))
            .unwrap();
        assert_eq!(there, 1, "{name} was acknowledged and is lost");
    }
}
