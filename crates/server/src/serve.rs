//! Takes connections, within limits: a workshop's server stands in a network where many open one and say nothing.

use std::net::SocketAddr;
use std::sync::Arc;
use std::time::Duration;

use axum::Router;
use axum::body::Body;
use hyper::Request;
use hyper::body::Incoming;
use hyper::server::conn::http1;
use hyper_util::rt::{TokioIo, TokioTimer};
use hyper_util::server::graceful::GracefulShutdown;
use hyper_util::service::TowerToHyperService;
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::{OwnedSemaphorePermit, Semaphore};
use tower::ServiceExt;

/// How long the head of a request may take, and so how long a connection may stay idle between two.
const HEAD: Duration = Duration::from_secs(30);
/// Connections at a time, where the system lets a program have so many files; who comes beyond them waits until one is
/// closed.
const MOST: usize = 2048;
/// Files a program has open beside its connections.
const FILES: usize = 128;
/// How long what is being answered may take to end once the server is to stop.
const LAST: Duration = Duration::from_secs(3);
/// How long is waited where the system has no file handle left for a further connection.
const RETRY: Duration = Duration::from_millis(200);

/// Serves the application until it is to stop; then answers what is under way, for three seconds at most.
pub async fn serve(listener: TcpListener, app: Router, stop: impl Future<Output = ()>) {
    let room = Arc::new(Semaphore::new(most_connections()));
    let open = GracefulShutdown::new();
    let mut stop = std::pin::pin!(stop);
    loop {
        let Ok(permit) = room.clone().acquire_owned().await else { break };
        let accepted = tokio::select! {
            accepted = listener.accept() => accepted,
            () = &mut stop => break,
        };
        match accepted {
            Ok((stream, from)) => answer(stream, from, app.clone(), permit, &open),
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

fn answer(
    stream: TcpStream,
    from: SocketAddr,
    app: Router,
    permit: OwnedSemaphorePermit,
    open: &GracefulShutdown,
) {
    // An answer is written whole; there is nothing to wait for.
    let _ = stream.set_nodelay(true);
    let app = ServiceExt::<Request<Body>>::map_request(app, move |mut request: Request<Incoming>| {
        request.extensions_mut().insert(from);
        request.map(Body::new)
    });
    let mut head = http1::Builder::new();
    head.timer(TokioTimer::new()).header_read_timeout(HEAD);
    let connection = open.watch(head.serve_connection(TokioIo::new(stream), TowerToHyperService::new(app)));
    tokio::spawn(async move {
        // That somebody hung up or sent no HTTP is nothing of ours.
        if let Err(error) = connection.await {
            tracing::debug!(%error, "a connection ended early");
        }
        drop(permit);
    });
}
