//! The caliper: a line of text for each reading. A simulated one ships with the program and is read in the same way.

use std::io;
use std::net::SocketAddr;
use std::sync::{Arc, Mutex, PoisonError};

use tokio::io::AsyncWriteExt as _;
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::OnceCell;

use super::{Place, patiently, whole_lines};

/// So many lines of a stream are read, to see whether it stands still.
const LINES: usize = 3;

/// Where readings come from.
#[derive(Debug, Clone)]
pub struct Caliper(Arc<At>);

#[derive(Debug)]
enum At {
    Simulated { jaws: Arc<Between>, address: OnceCell<SocketAddr> },
    Real(Place),
}

impl Caliper {
    /// The simulated caliper.
    #[must_use]
    pub fn simulated() -> Self {
        Self(Arc::new(At::Simulated { jaws: Arc::default(), address: OnceCell::new() }))
    }

    /// A caliper at `host:port`, or at a serial device such as `/dev/ttyUSB0` or `COM3`.
    #[must_use]
    pub fn at(place: &str) -> Self {
        Self(Arc::new(At::Real(Place::named(place))))
    }

    /// What lies between the jaws of the simulated one.
    pub(crate) fn jaws(&self) -> Option<&Between> {
        match &*self.0 {
            At::Simulated { jaws, .. } => Some(jaws),
            At::Real(_) => None,
        }
    }

    /// The next lines the caliper sends: as many as come one upon another, three at most. An instrument that sends one
    /// line a press gives one.
    ///
    /// # Errors
    /// When it cannot be reached, or says nothing for three seconds.
    pub(crate) async fn lines(&self) -> io::Result<Vec<String>> {
        patiently(async {
            match &*self.0 {
                At::Simulated { jaws, address } => {
                    let address = address.get_or_try_init(|| stand_in(jaws.clone())).await?;
                    whole_lines(TcpStream::connect(address).await?, LINES).await
                }
                At::Real(place) => place.lines(LINES).await,
            }
        })
        .await
    }
}

/// What lies between the jaws of the simulated caliper, mm.
#[derive(Debug, Default)]
pub(crate) struct Between(Mutex<f64>);

impl Between {
    /// Closes the jaws on something.
    pub fn lay(&self, mm: f64) {
        *self.0.lock().unwrap_or_else(PoisonError::into_inner) = mm;
    }

    /// What is shown, one line upon another: the last hundredth wavers.
    fn shows(&self) -> String {
        let mm = *self.0.lock().unwrap_or_else(PoisonError::into_inner);
        let hundredths = [0.0, 0.0, 0.01, 0.0].map(|off| format!("ST,{:+08.2} mm\r\n", mm + off));
        hundredths.concat()
    }
}

/// Starts the simulated caliper on this machine: it sends its lines to whoever connects.
async fn stand_in(jaws: Arc<Between>) -> io::Result<SocketAddr> {
    let listener = TcpListener::bind(("127.0.0.1", 0)).await?;
    let address = listener.local_addr()?;
    tokio::spawn(async move {
        while let Ok((mut reader, _)) = listener.accept().await {
            // Whoever hangs up early has missed the reading, and nobody else minds.
            let _ = reader.write_all(jaws.shows().as_bytes()).await;
        }
    });
    Ok(address)
}
