//! The host names this server answers to.

use std::sync::Arc;

/// The host names this server answers to, each with and without its port.
#[derive(Clone)]
pub(crate) struct Hosts(Arc<Vec<String>>);

impl Hosts {
    /// The loopback names, the address listened on, and any further names allowed.
    pub fn new(address: std::net::SocketAddr, further: &[String]) -> Self {
        let mut names = vec!["localhost".to_owned(), "127.0.0.1".to_owned(), "[::1]".to_owned()];
        if !address.ip().is_unspecified() {
            names.push(match address.ip() {
                std::net::IpAddr::V4(ip) => ip.to_string(),
                std::net::IpAddr::V6(ip) => format!("[{ip}]"),
            });
        }
        names.extend(further.iter().map(|name| name.to_lowercase()));
        let ported: Vec<String> = names.iter().map(|name| format!("{name}:{}", address.port())).collect();
        names.extend(ported);
        Self(Arc::new(names))
    }

    /// Whether it answers to a host, with or without its port.
    pub fn allows(&self, host: &str) -> bool {
        let host = host.to_lowercase();
        self.0.contains(&host)
    }
}
