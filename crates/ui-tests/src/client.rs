//! A plain client of the API, for measuring: one kept connection, one request after the other.

use std::time::Duration;

use anyhow::{Context as _, Result, ensure};
use tokio::io::{AsyncReadExt as _, AsyncWriteExt as _};
use tokio::net::TcpStream;

/// Opens a connection to `http://host:port`.
///
/// # Errors
/// When nobody answers.
pub async fn connect(address: &str) -> Result<TcpStream> {
    let stream = TcpStream::connect(address.trim_start_matches("http://")).await?;
    stream.set_nodelay(true)?;
    Ok(stream)
}

/// One request; gives the answer's status and body.
///
/// # Errors
/// When the answer breaks off or says no length.
pub async fn answer(stream: &mut TcpStream, method: &str, path: &str, body: &str) -> Result<(u16, Vec<u8>)> {
    let host = stream.peer_addr()?;
    let head = format!("{method} {path} HTTP/1.1\r\nHost: {host}\r\nContent-Length: {}\r\n\r\n", body.len());
    stream.write_all(format!("{head}{body}").as_bytes()).await?;
    let mut answer = vec![];
    let mut chunk = vec![0; 65536];
    let (head, headers) = loop {
        more(stream, &mut chunk, &mut answer).await?;
        if let Some(head) = answer.windows(4).position(|four| four == b"\r\n\r\n") {
            break (head, String::from_utf8_lossy(&answer[..head]).to_lowercase());
        }
    };
    let status = headers.split(' ').nth(1).context("no status")?.parse()?;
    let length = headers.split("content-length: ").nth(1).and_then(|rest| rest.split("\r\n").next());
    let length: usize = length.context("no content length")?.parse()?;
    while answer.len() < head + 4 + length {
        more(stream, &mut chunk, &mut answer).await?;
    }
    Ok((status, answer.split_off(head + 4)))
}

async fn more(stream: &mut TcpStream, chunk: &mut [u8], answer: &mut Vec<u8>) -> Result<()> {
    let n = stream.read(chunk).await?;
    ensure!(n > 0, "the server hung up");
    answer.extend_from_slice(&chunk[..n]);
    Ok(())
}

/// One request that must succeed.
///
/// # Errors
/// When it does not.
pub async fn ask(stream: &mut TcpStream, method: &str, path: &str, body: &str) -> Result<()> {
    let (status, body) = answer(stream, method, path, body).await?;
    ensure!(status == 200, "{method} {path}: {status} {}", String::from_utf8_lossy(&body));
    Ok(())
}

/// Prints median, 99th percentile and worst of the times a thing took.
pub fn report(what: &str, times: &mut [Duration]) {
    times.sort();
    let at = |share: usize| times[(times.len() * share / 100).min(times.len() - 1)].as_secs_f64() * 1000.0;
    println!(
        "{what}: median {:.2} ms, 99th percentile {:.2} ms, worst {:.2} ms, of {}",
        at(50),
        at(99),
        at(100),
        times.len()
    );
}

/// A document of lots in a dozen wires, each bought once and cut again and again.
#[must_use]
pub fn large_rack(numbers: std::ops::Range<usize>, lines_n: usize) -> String {
    let metals = ["copper", "brass", "sterling-silver", "fine-silver"];
    let sizes = [0.8118, 1.0237, 1.628];
    let lots: Vec<serde_json::Value> = numbers
        .map(|n| {
            let wire = serde_json::json!({ "metal": metals[n % 4], "size_mm": sizes[n % 3] });
            let bought = serde_json::json!({ "kind": "bought", "length_mm": 20_000 });
            let cut = serde_json::json!({ "kind": "cut", "length_mm": -61.5, "note": "hooks" });
            let ledger: Vec<&serde_json::Value> =
                std::iter::once(&bought).chain(std::iter::repeat_n(&cut, lines_n - 1)).collect();
            serde_json::json!({ "lot": { "name": format!("Spool {n}"), "wire": wire }, "ledger": ledger })
        })
        .collect();
    serde_json::json!({ "format": "lorimant-rack", "version": 1, "lots": lots }).to_string()
}
