//! The scale: a line of text for each reading, over TCP or a serial line. A simulated one ships with the
//! program and is read in the same way.

use std::io;
use std::net::SocketAddr;
use std::sync::{Arc, Mutex, PoisonError};
use std::time::Duration;

use tokio::io::{
    AsyncBufRead, AsyncBufReadExt as _, AsyncRead, AsyncReadExt as _, AsyncWriteExt as _, BufReader,
};
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::OnceCell;
use tokio_serial::SerialPortBuilderExt as _;

/// How long a reading may take.
const PATIENCE: Duration = Duration::from_secs(3);
/// How long the next line of a stream may take to follow.
const FOLLOWS: Duration = Duration::from_millis(1200);
/// Longest line taken, bytes.
const LONGEST_LINE: u64 = 200;
/// What serial scales are set to when they leave the factory, most of them.
const BAUD: u32 = 9600;

/// Where readings come from.
#[derive(Debug, Clone)]
pub struct Scale(Arc<At>);

#[derive(Debug)]
enum At {
    Simulated { pan: Arc<Pan>, address: OnceCell<SocketAddr> },
    Network(String),
    Serial(String),
}

impl Scale {
    /// The simulated scale.
    #[must_use]
    pub fn simulated() -> Self {
        Self(Arc::new(At::Simulated { pan: Arc::default(), address: OnceCell::new() }))
    }

    /// A scale at `host:port`, or at a serial device such as `/dev/ttyUSB0` or `COM3`.
    #[must_use]
    pub fn at(place: &str) -> Self {
        let port = place.rsplit_once(':').map(|(_, port)| port.parse::<u16>());
        let at = match port {
            Some(Ok(_)) => At::Network(place.to_owned()),
            _ => At::Serial(place.to_owned()),
        };
        Self(Arc::new(at))
    }

    pub(crate) fn is_simulated(&self) -> bool {
        self.pan().is_some()
    }

    /// The pan of the simulated scale.
    pub(crate) fn pan(&self) -> Option<&Pan> {
        match &*self.0 {
            At::Simulated { pan, .. } => Some(pan),
            At::Network(_) | At::Serial(_) => None,
        }
    }

    /// Waits for the next line the scale sends.
    ///
    /// # Errors
    /// When it cannot be reached, or says nothing for three seconds.
    pub(crate) async fn line(&self) -> io::Result<String> {
        let reading = async {
            match &*self.0 {
                At::Simulated { pan, address } => {
                    let address = address.get_or_try_init(|| stand_in(pan.clone())).await?;
                    whole_line(TcpStream::connect(address).await?).await
                }
                At::Network(place) => whole_line(TcpStream::connect(place).await?).await,
                At::Serial(device) => whole_line(tokio_serial::new(device, BAUD).open_native_async()?).await,
            }
        };
        let late = |_| io::Error::new(io::ErrorKind::TimedOut, "it says nothing");
        tokio::time::timeout(PATIENCE, reading).await.map_err(late)?
    }
}

/// A whole line with something on it. Many scales send line upon line: whoever joins in the middle hears the end of one
/// first, `.31 g` of `182.31 g`, so the next is taken where one follows.
async fn whole_line(from: impl AsyncRead + Unpin) -> io::Result<String> {
    let mut lines = BufReader::new(from.take(2 * LONGEST_LINE));
    let first = next_line(&mut lines).await?;
    let (text, _) = first.ok_or_else(|| io::Error::new(io::ErrorKind::UnexpectedEof, "it hung up"))?;
    match tokio::time::timeout(FOLLOWS, next_line(&mut lines)).await {
        Ok(Ok(Some((second, true)))) => Ok(second),
        _ => Ok(text),
    }
}

/// The next line with something on it, and whether it was ended; nothing once the other side hung up.
async fn next_line(lines: &mut (impl AsyncBufRead + Unpin)) -> io::Result<Option<(String, bool)>> {
    let mut line = vec![];
    while lines.read_until(b'\n', &mut line).await? > 0 {
        let text = String::from_utf8_lossy(&line).trim().to_owned();
        if !text.is_empty() {
            return Ok(Some((text, line.ends_with(b"\n"))));
        }
        line.clear();
    }
    Ok(None)
}

/// What lies on the simulated scale, g.
#[derive(Debug, Default)]
pub(crate) struct Pan(Mutex<f64>);

impl Pan {
    /// Lays a lot on it. What is really on a spool is a little off what the ledger says: up to 2.5 % of
    /// the wire was forgotten, the same for a lot each time.
    pub fn lay(&self, lot: i64, wire_g: f64, gross_g: f64) {
        let forgotten = f64::from(u8::try_from(lot.rem_euclid(6)).unwrap_or(0)) * 0.005;
        self.set(gross_g - wire_g * forgotten);
    }

    pub fn clear(&self) {
        self.set(0.0);
    }

    fn set(&self, grams: f64) {
        *self.0.lock().unwrap_or_else(PoisonError::into_inner) = grams;
    }

    fn line(&self) -> String {
        format!("+ {:9.2} g\r\n", *self.0.lock().unwrap_or_else(PoisonError::into_inner))
    }
}

/// Starts the simulated scale on this machine: it sends a line to whoever connects.
async fn stand_in(pan: Arc<Pan>) -> io::Result<SocketAddr> {
    let listener = TcpListener::bind(("127.0.0.1", 0)).await?;
    let address = listener.local_addr()?;
    tokio::spawn(async move {
        while let Ok((mut reader, _)) = listener.accept().await {
            // Whoever hangs up early has missed the reading, and nobody else minds.
            let _ = reader.write_all(pan.line().as_bytes()).await;
        }
    });
    Ok(address)
}
