//! The scale: a line of text for each reading. A simulated one ships with the program and is read in the same way.

use std::io;
use std::net::SocketAddr;
use std::sync::{Arc, Mutex, PoisonError};

use tokio::io::AsyncWriteExt as _;
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::OnceCell;

use super::{Place, patiently, whole_line};

/// Where readings come from.
#[derive(Debug, Clone)]
pub struct Scale(Arc<At>);

#[derive(Debug)]
enum At {
    Simulated { pan: Arc<Pan>, address: OnceCell<SocketAddr> },
    Real(Place),
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
        Self(Arc::new(At::Real(Place::named(place))))
    }

    pub(crate) fn is_simulated(&self) -> bool {
        self.pan().is_some()
    }

    /// The pan of the simulated scale.
    pub(crate) fn pan(&self) -> Option<&Pan> {
        match &*self.0 {
            At::Simulated { pan, .. } => Some(pan),
            At::Real(_) => None,
        }
    }

    /// Waits for the next line the scale sends.
    ///
    /// # Errors
    /// When it cannot be reached, or says nothing for three seconds.
    pub(crate) async fn line(&self) -> io::Result<String> {
        patiently(async {
            match &*self.0 {
                At::Simulated { pan, address } => {
                    let address = address.get_or_try_init(|| stand_in(pan.clone())).await?;
                    whole_line(TcpStream::connect(address).await?).await
                }
                At::Real(place) => place.line().await,
            }
        })
        .await
    }
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
