//! The winder: a line with the turns on its counter. A simulated one ships with the program: a slow drill that can be
//! started and stopped, read in the same way as a real one.

use std::io;
use std::net::SocketAddr;
use std::sync::{Arc, Mutex, PoisonError};
use std::time::Instant;

use tokio::io::AsyncWriteExt as _;
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::OnceCell;

use super::{Place, patiently, whole_line};

/// Turns a second of the simulated one: a drill at its lowest speed.
const TURNS_A_SECOND: f64 = 2.0;

/// Where turns are counted.
#[derive(Debug, Clone)]
pub struct Winder(Arc<At>);

#[derive(Debug)]
enum At {
    Simulated { spindle: Arc<Spindle>, address: OnceCell<SocketAddr> },
    Real(Place),
}

impl Winder {
    /// The simulated winder.
    #[must_use]
    pub fn simulated() -> Self {
        Self(Arc::new(At::Simulated { spindle: Arc::default(), address: OnceCell::new() }))
    }

    /// A winder at `host:port`, or at a serial device.
    #[must_use]
    pub fn at(place: &str) -> Self {
        Self(Arc::new(At::Real(Place::named(place))))
    }

    /// The spindle of the simulated one.
    pub(crate) fn spindle(&self) -> Option<&Spindle> {
        match &*self.0 {
            At::Simulated { spindle, .. } => Some(spindle),
            At::Real(_) => None,
        }
    }

    /// The next line the winder sends.
    ///
    /// # Errors
    /// When it cannot be reached, or says nothing for three seconds.
    pub(crate) async fn line(&self) -> io::Result<String> {
        patiently(async {
            match &*self.0 {
                At::Simulated { spindle, address } => {
                    let address = address.get_or_try_init(|| stand_in(spindle.clone())).await?;
                    whole_line(TcpStream::connect(address).await?).await
                }
                At::Real(place) => place.line().await,
            }
        })
        .await
    }
}

/// The spindle of the simulated winder.
#[derive(Debug, Default)]
pub(crate) struct Spindle(Mutex<Turning>);

/// How it turns.
#[derive(Debug, Default)]
struct Turning {
    /// Turns at the moment it was started or stopped.
    turns: f64,
    /// When it was started, and where it stops by itself.
    runs: Option<(Instant, f64)>,
}

impl Turning {
    fn turns(&self) -> f64 {
        self.runs.map_or(self.turns, |(since, to)| {
            (self.turns + since.elapsed().as_secs_f64() * TURNS_A_SECOND).min(to)
        })
    }
}

impl Spindle {
    /// Winds on from so many turns until so many lie.
    pub fn run(&self, from: f64, to: f64) {
        *self.turning() = Turning { turns: from, runs: Some((Instant::now(), to.max(from))) };
    }

    /// Stops where it is.
    pub fn stop(&self) {
        let mut turning = self.turning();
        *turning = Turning { turns: turning.turns(), runs: None };
    }

    fn turning(&self) -> std::sync::MutexGuard<'_, Turning> {
        self.0.lock().unwrap_or_else(PoisonError::into_inner)
    }

    fn line(&self) -> String {
        format!("turns {:.1}\n", self.turning().turns())
    }
}

/// Starts the simulated winder on this machine: it sends a line to whoever connects.
async fn stand_in(spindle: Arc<Spindle>) -> io::Result<SocketAddr> {
    let listener = TcpListener::bind(("127.0.0.1", 0)).await?;
    let address = listener.local_addr()?;
    tokio::spawn(async move {
        while let Ok((mut reader, _)) = listener.accept().await {
            // Whoever hangs up early has missed the reading, and nobody else minds.
            let _ = reader.write_all(spindle.line().as_bytes()).await;
        }
    });
    Ok(address)
}
