//! The printer for labels: it takes a document over TCP. A simulated one ships with the program and keeps what it was sent.

use std::collections::VecDeque;
use std::io;
use std::net::SocketAddr;
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};

use jiff::Timestamp;
use tokio::io::{AsyncReadExt as _, AsyncWriteExt as _};
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::OnceCell;

use super::patiently;

/// How many sheets the simulated one keeps; the oldest makes room.
const MOST_KEPT: usize = 20;
/// Largest document it takes, bytes.
const LARGEST: u64 = 16 << 20;

/// Where labels are printed.
#[derive(Debug, Clone)]
pub struct Printer(Arc<At>);

#[derive(Debug)]
enum At {
    Simulated { tray: Arc<Tray>, address: OnceCell<SocketAddr> },
    Network(String),
}

impl Printer {
    /// The simulated printer.
    #[must_use]
    pub fn simulated() -> Self {
        Self(Arc::new(At::Simulated { tray: Arc::default(), address: OnceCell::new() }))
    }

    /// A printer at `host:port` that takes PDF.
    #[must_use]
    pub fn at(place: &str) -> Self {
        Self(Arc::new(At::Network(place.to_owned())))
    }

    /// The tray of the simulated one.
    pub(crate) fn tray(&self) -> Option<&Tray> {
        match &*self.0 {
            At::Simulated { tray, .. } => Some(tray),
            At::Network(_) => None,
        }
    }

    /// Sends a document; it is through once the printer has taken all of it.
    ///
    /// # Errors
    /// When it cannot be reached, hangs up, or takes longer than three seconds.
    pub(crate) async fn print(&self, document: &[u8]) -> io::Result<()> {
        patiently(async {
            let mut line = match &*self.0 {
                At::Simulated { tray, address } => {
                    TcpStream::connect(address.get_or_try_init(|| stand_in(tray.clone())).await?).await?
                }
                At::Network(place) => TcpStream::connect(place).await?,
            };
            line.write_all(document).await?;
            line.shutdown().await?;
            // The other side hangs up once it has everything.
            let mut rest = [0; 64];
            while line.read(&mut rest).await? > 0 {}
            Ok(())
        })
        .await
    }
}

/// A sheet that was printed.
#[derive(Debug, Clone)]
pub(crate) struct Printed {
    /// Its number, from 1.
    pub n: u64,
    /// When it happened, UTC.
    pub at: Timestamp,
    /// What was sent.
    pub document: Arc<Vec<u8>>,
}

/// What lies in the tray of the simulated printer.
#[derive(Debug, Default)]
pub(crate) struct Tray(Mutex<VecDeque<Printed>>);

impl Tray {
    fn sheets(&self) -> MutexGuard<'_, VecDeque<Printed>> {
        self.0.lock().unwrap_or_else(PoisonError::into_inner)
    }

    /// Everything in it, the newest first.
    pub fn all(&self) -> Vec<Printed> {
        self.sheets().iter().rev().cloned().collect()
    }

    fn lay(&self, document: Vec<u8>) {
        let mut sheets = self.sheets();
        let n = sheets.back().map_or(1, |last| last.n + 1);
        sheets.push_back(Printed { n, at: Timestamp::now(), document: Arc::new(document) });
        while sheets.len() > MOST_KEPT {
            sheets.pop_front();
        }
    }
}

/// Starts the simulated printer on this machine: what it is sent lies in its tray.
async fn stand_in(tray: Arc<Tray>) -> io::Result<SocketAddr> {
    let listener = TcpListener::bind(("127.0.0.1", 0)).await?;
    let address = listener.local_addr()?;
    tokio::spawn(async move {
        while let Ok((line, _)) = listener.accept().await {
            let mut document = vec![];
            // What broke off is no sheet.
            if line.take(LARGEST).read_to_end(&mut document).await.is_ok() && !document.is_empty() {
                tray.lay(document);
            }
        }
    });
    Ok(address)
}
