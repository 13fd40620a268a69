//! Instruments a workshop plugs in: each sends or takes lines over TCP or a serial line. Simulated ones ship with the
//! program and are reached in the same way.

pub(crate) mod caliper;
pub(crate) mod printer;
pub(crate) mod scale;
pub(crate) mod winder;

use lorimant_text::text;
use std::io;
use std::time::Duration;

use tokio::io::{AsyncBufRead, AsyncBufReadExt as _, AsyncRead, AsyncReadExt as _, BufReader};
use tokio::net::TcpStream;
use tokio_serial::SerialPortBuilderExt as _;

pub use caliper::Caliper;
pub use printer::Printer;
pub use scale::Scale;
pub use winder::Winder;

/// All instruments of a workshop.
#[derive(Debug, Clone)]
pub struct Instruments {
    /// The caliper.
    pub caliper: Caliper,
    /// The scale.
    pub scale: Scale,
    /// The winder with its counter of turns.
    pub winder: Winder,
    /// The printer for labels.
    pub printer: Printer,
}

impl Instruments {
    /// The simulated ones.
    #[must_use]
    pub fn simulated() -> Self {
        Self {
            caliper: Caliper::simulated(),
            scale: Scale::simulated(),
            winder: Winder::simulated(),
            printer: Printer::simulated(),
        }
    }
}

/// How long a reading may take.
const PATIENCE: Duration = Duration::from_secs(3);
/// How long the next line of a stream may take to follow.
const FOLLOWS: Duration = Duration::from_millis(1200);
/// Longest line taken, bytes.
const LONGEST_LINE: u64 = 200;
/// What serial instruments are set to when they leave the factory, most of them.
const BAUD: u32 = 9600;

/// Where a real instrument is.
#[derive(Debug, Clone)]
enum Place {
    /// At `host:port`.
    Network(String),
    /// At a serial device.
    Serial(String),
}

impl Place {
    /// `host:port`, or a serial device such as `/dev/ttyUSB0` or `COM3`.
    fn named(place: &str) -> Self {
        let port = place.rsplit_once(':').map(|(_, port)| port.parse::<u16>());
        match port {
            Some(Ok(_)) => Self::Network(place.to_owned()),
            _ => Self::Serial(place.to_owned()),
        }
    }

    /// The next line it sends.
    async fn line(&self) -> io::Result<String> {
        match self {
            Self::Network(place) => whole_line(TcpStream::connect(place).await?).await,
            Self::Serial(device) => whole_line(tokio_serial::new(device, BAUD).open_native_async()?).await,
        }
    }
}

impl Place {
    /// The next lines it sends, one upon another, so many at most.
    async fn lines(&self, most: usize) -> io::Result<Vec<String>> {
        match self {
            Self::Network(place) => whole_lines(TcpStream::connect(place).await?, most).await,
            Self::Serial(device) => {
                whole_lines(tokio_serial::new(device, BAUD).open_native_async()?, most).await
            }
        }
    }
}

/// What an instrument does within its time.
async fn patiently<T>(doing: impl Future<Output = io::Result<T>>) -> io::Result<T> {
    let late = |_| io::Error::new(io::ErrorKind::TimedOut, text!("api-instrument-says-nothing"));
    tokio::time::timeout(PATIENCE, doing).await.map_err(late)?
}

/// Whole lines as they follow each other, so many at most. The first of several may be the end of one that was sent before
/// anybody listened, and is left out; what is not ended when it stops is no line.
async fn whole_lines(from: impl AsyncRead + Unpin, most: usize) -> io::Result<Vec<String>> {
    let mut lines = BufReader::new(from.take((most as u64 + 2) * LONGEST_LINE));
    let first = next_line(&mut lines).await?;
    let (text, ended) =
        first.ok_or_else(|| io::Error::new(io::ErrorKind::UnexpectedEof, text!("api-instrument-hung-up")))?;
    let mut all = vec![(text, ended)];
    while all.len() <= most {
        match tokio::time::timeout(FOLLOWS / 4, next_line(&mut lines)).await {
            Ok(Ok(Some(line))) => all.push(line),
            _ => break,
        }
    }
    let lone = all.len() == 1;
    let whole = all.into_iter().skip(usize::from(!lone));
    let whole: Vec<String> = whole.filter(|(_, ended)| *ended).map(|(text, _)| text).collect();
    if whole.is_empty() { Err(broken_off()) } else { Ok(whole) }
}

/// A whole line with something on it. Many instruments send line upon line: whoever joins in the middle hears the end of
/// one first, `.31 g` of `182.31 g`, so the next is taken where one follows. A line without its end is none: figures may be
/// missing.
async fn whole_line(from: impl AsyncRead + Unpin) -> io::Result<String> {
    let mut lines = BufReader::new(from.take(2 * LONGEST_LINE));
    let first = next_line(&mut lines).await?;
    let (text, ended) =
        first.ok_or_else(|| io::Error::new(io::ErrorKind::UnexpectedEof, text!("api-instrument-hung-up")))?;
    match tokio::time::timeout(FOLLOWS, next_line(&mut lines)).await {
        Ok(Ok(Some((second, true)))) => Ok(second),
        _ if ended => Ok(text),
        _ => Err(broken_off()),
    }
}

fn broken_off() -> io::Error {
    io::Error::new(io::ErrorKind::UnexpectedEof, text!("api-instrument-broke-off-in-middle-line"))
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
