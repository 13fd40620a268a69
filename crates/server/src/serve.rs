//! Takes connections, within limits: a workshop's server stands in a network where many open one and say nothing.

use std::collections::BTreeMap;
use std::net::SocketAddr;
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use std::time::Duration;

use axum::Router;
use axum::body::Body;
use hyper::Request;
use hyper::body::{Body as _, Incoming};
use hyper::server::conn::http1;
use hyper_util::rt::{TokioIo, TokioTimer};
use hyper_util::server::graceful::GracefulShutdown;
use hyper_util::service::TowerToHyperService;
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::{Notify, OwnedSemaphorePermit, Semaphore};
use tower::ServiceExt;

/// How long the head of a request may take, and so how long a connection may stay idle between two.
const HEAD: Duration = Duration::from_secs(30);
/// Connections at a time, where the system lets a program have so many files; for who comes beyond them one that has said
/// nothing yet is closed.
const MOST: usize = 2048;
/// Files a program has open beside its connections.
const FILES: usize = 128;
/// How long what is being answered may take to end once the server is to stop.
const LAST: Duration = Duration::from_secs(2);
/// How long is waited where the system has no file handle left for a further connection.
const RETRY: Duration = Duration::from_millis(200);

/// Serves the application until it is to stop; then answers what is under way, for two seconds at most.
pub async fn serve(listener: TcpListener, app: Router, stop: impl Future<Output = ()>) {
    let room = Arc::new(Semaphore::new(most_connections()));
    let (open, silent) = (GracefulShutdown::new(), Silent::default());
    let mut stop = std::pin::pin!(stop);
    loop {
        // Whoever has asked for nothing yet makes room for who comes: the one that has been there longest, and no other,
        // however long it takes to go.
        if room.available_permits() == 0 {
            silent.close_the_oldest();
        }
        let permit = tokio::select! {
            permit = room.clone().acquire_owned() => permit,
            () = &mut stop => break,
        };
        let Ok(permit) = permit else { break };
        let accepted = tokio::select! {
            accepted = listener.accept() => accepted,
            () = &mut stop => break,
        };
        match accepted {
            Ok((stream, from)) => answer(stream, from, app.clone(), permit, (&open, &silent)),
            Err(error) => {
                tracing::warn!(%error, "a connection could not be taken");
                tokio::time::sleep(RETRY).await;
            }
        }
    }
    drop(listener);
    if tokio::time::timeout(LAST, open.shutdown()).await.is_err() {
        tracing::warn!("some connections were still open and are cut off");
    }
}

/// As many connections as there can be file handles for; a program may raise its own limit that far.
fn most_connections() -> usize {
    #[cfg(unix)]
    {
        use rustix::process::{Resource, getrlimit, setrlimit};
        let mut limit = getrlimit(Resource::Nofile);
        let wanted = (MOST + FILES) as u64;
        if limit.current.is_some_and(|now| now < wanted) {
            limit.current = Some(limit.maximum.unwrap_or(wanted).min(wanted));
            // Where it may not, it makes do with fewer.
            let _ = setrlimit(Resource::Nofile, limit);
        }
        let files = getrlimit(Resource::Nofile).current.unwrap_or(wanted).min(wanted);
        usize::try_from(files).unwrap_or(MOST).saturating_sub(FILES).max(16)
    }
    #[cfg(not(unix))]
    {
        MOST
    }
}

/// Connections that have not asked for anything yet, or not to the end, the one that came first first.
#[derive(Clone, Default)]
struct Silent(Arc<Mutex<Waiting>>);

#[derive(Default)]
struct Waiting {
    /// How many have come.
    came_n: u64,
    /// Those that have not asked yet, by the order they came in, and what each is told to close by.
    all: BTreeMap<u64, Arc<Notify>>,
}

impl Silent {
    fn waiting(&self) -> MutexGuard<'_, Waiting> {
        self.0.lock().unwrap_or_else(PoisonError::into_inner)
    }

    /// One that has just come: its number, and what it is told to close by.
    fn came(&self) -> (u64, Arc<Notify>) {
        let (mut waiting, close) = (self.waiting(), Arc::new(Notify::new()));
        waiting.came_n += 1;
        let n = waiting.came_n;
        waiting.all.insert(n, close.clone());
        (n, close)
    }

    /// It asked for something, or is gone.
    fn spoke(&self, n: u64) {
        self.waiting().all.remove(&n);
    }

    /// Closes the one that has been there longest, unless every one has asked for something.
    fn close_the_oldest(&self) {
        let oldest = self.waiting().all.pop_first();
        if let Some((_, close)) = oldest {
            close.notify_one();
        }
    }
}

fn answer(
    stream: TcpStream,
    from: SocketAddr,
    app: Router,
    permit: OwnedSemaphorePermit,
    (open, silent): (&GracefulShutdown, &Silent),
) {
    let (n, close) = silent.came();
    let (heard, answered) = (silent.clone(), silent.clone());
    // An answer is written whole; there is nothing to wait for.
    let _ = stream.set_nodelay(true);
    let app = ServiceExt::<Request<Body>>::map_request(app, move |mut request: Request<Incoming>| {
        // Whoever promises a body and sends none has not asked for anything yet.
        if request.body().is_end_stream() {
            heard.spoke(n);
        }
        request.extensions_mut().insert(from);
        request.map(Body::new)
    });
    let app = ServiceExt::<Request<Incoming>>::map_response(app, move |response| {
        answered.spoke(n);
        response
    });
    let mut head = http1::Builder::new();
    head.timer(TokioTimer::new()).header_read_timeout(HEAD);
    let connection = open.watch(head.serve_connection(TokioIo::new(stream), TowerToHyperService::new(app)));
    let silent = silent.clone();
    tokio::spawn(async move {
        tokio::select! {
            ended = connection => if let Err(error) = ended {
                // That somebody hung up or sent no HTTP is nothing of ours.
                tracing::debug!(%error, "a connection ended early");
            },
            () = close.notified() => tracing::debug!("a silent connection made room"),
        }
        silent.spoke(n);
        drop(permit);
    });
}
