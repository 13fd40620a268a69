//! What a network does to a server: connections that say nothing, half say something, or are open when it is to stop.
#![cfg(target_os = "linux")]
#![allow(clippy::unwrap_used, missing_docs)]

use std::io::{Read as _, Write as _};
use std::net::TcpStream;
use std::process::{Child, Command};
use std::time::{Duration, Instant};

use crate::common::start;

/// Resident memory of a process, MB.
fn memory_mb(child: &Child) -> u64 {
    let status = std::fs::read_to_string(format!("/proc/{}/status", child.id())).unwrap();
    let line = status.lines().find(|line| line.starts_with("VmRSS:")).unwrap();
    line.split_whitespace().nth(1).unwrap().parse::<u64>().unwrap() / 1024
}

/// As many connections as wanted, or as a test may have files open beside those of others.
fn as_many_as(wanted: u64) -> u64 {
    use rustix::process::{Resource, getrlimit, setrlimit};
    let mut limit = getrlimit(Resource::Nofile);
    limit.current = limit.maximum;
    let _ = setrlimit(Resource::Nofile, limit);
    getrlimit(Resource::Nofile).current.map_or(wanted, |files| wanted.min(files.saturating_sub(500)))
}

fn connect(address: &str) -> TcpStream {
    let host = address.trim_start_matches("http://").trim_end_matches('/');
    TcpStream::connect(host).unwrap()
}

fn health(address: &str) -> String {
    ureq::get(format!("{address}api/health")).call().unwrap().body_mut().read_to_string().unwrap()
}

fn signal(child: &Child, name: &str) {
    Command::new("kill").args([name, &child.id().to_string()]).status().unwrap();
}

/// Whether a process ends within so many seconds.
fn ends_within(child: &mut Child, seconds: u64) -> bool {
    let start = Instant::now();
    while start.elapsed() < Duration::from_secs(seconds) {
        if child.try_wait().unwrap().is_some() {
            return true;
        }
        std::thread::sleep(Duration::from_millis(20));
    }
    child.kill().unwrap();
    child.wait().unwrap();
    false
}

#[test]
fn more_silent_connections_than_there_is_room_for_neither_fill_the_memory_nor_hold_up_others_or_the_stop() {
    let folder = tempfile::tempdir().unwrap();
    let (mut child, address) = start(&folder.path().join("workshop.lorimant"));
    let mut open: Vec<TcpStream> = (0..as_many_as(2100)).map(|_| connect(&address)).collect();
    for (n, stream) in open.iter_mut().enumerate() {
        match n % 3 {
            0 => {}
            // Those that came first may have made room already.
            1 => drop(stream.write_all(b"GET /api/health HTTP/1.1\r\nHost: local")),
            _ => {
                drop(stream.write_all(
                    b"POST /api/plans HTTP/1.1\r\nHost: localhost\r\nContent-Length: 500\r\n\r\n{",
                ))
            }
        }
    }
    // Long before the server would tire of them by itself: how quick it is, `cargo xtask soak` measures.
    let asked = Instant::now();
    for _ in 0..5 {
        assert!(health(&address).contains("ok"));
    }
    assert!(asked.elapsed() < Duration::from_secs(20), "it took {:?}", asked.elapsed());
    let memory = memory_mb(&child);
    println!("{} connections, {memory} MB", open.len());
    assert!(memory < 120, "{memory} MB");
    signal(&child, "-TERM");
    assert!(ends_within(&mut child, 20), "it did not stop");
}

#[test]
fn a_second_signal_ends_it_at_once() {
    let folder = tempfile::tempdir().unwrap();
    let (mut child, address) = start(&folder.path().join("workshop.lorimant"));
    let mut half = connect(&address);
    half.write_all(b"POST /api/plans HTTP/1.1\r\nHost: localhost\r\nContent-Length: 500\r\n\r\n{").unwrap();
    assert!(health(&address).contains("ok"));
    signal(&child, "-INT");
    // The first signal is taken once nobody is listened to any more.
    let host = address.trim_start_matches("http://").trim_end_matches('/').to_owned();
    let start = Instant::now();
    while TcpStream::connect(&host).is_ok() && start.elapsed() < Duration::from_secs(5) {
        std::thread::sleep(Duration::from_millis(10));
    }
    signal(&child, "-INT");
    assert!(ends_within(&mut child, 10), "it did not end");
}

/// The description of the API is written once, whoever asks for it and however often.
#[test]
fn the_apis_description_takes_no_memory_of_a_connection() {
    let folder = tempfile::tempdir().unwrap();
    let (mut child, address) = start(&folder.path().join("workshop.lorimant"));
    let before = memory_mb(&child);
    let mut open = vec![];
    for _ in 0..200 {
        let mut stream = connect(&address);
        stream.write_all(b"GET /api/openapi.json HTTP/1.1\r\nHost: localhost\r\n\r\n").unwrap();
        let mut first = [0; 12];
        stream.read_exact(&mut first).unwrap();
        open.push(stream);
    }
    let after = memory_mb(&child);
    child.kill().unwrap();
    child.wait().unwrap();
    assert!(after < before + 60, "{before} MB, then {after} MB");
}
