//! How far a long file that is being read has come.

use std::io::{self, Read};
use std::sync::atomic::{AtomicU64, Ordering};

/// Bytes read, and how many there are; nothing is coming where there are none.
#[derive(Debug, Default)]
pub(crate) struct Coming {
    read_n: AtomicU64,
    of_n: AtomicU64,
}

impl Coming {
    /// From 0 to 1; nothing where no file is being read.
    pub fn share(&self) -> Option<f64> {
        let of_n = self.of_n.load(Ordering::Relaxed);
        #[expect(clippy::cast_precision_loss, reason = "a share that is shown as per cents")]
        (of_n > 0).then(|| self.read_n.load(Ordering::Relaxed) as f64 / of_n as f64)
    }

    /// A file of this length begins to be read.
    pub fn begin(&self, of_n: u64) {
        self.read_n.store(0, Ordering::Relaxed);
        self.of_n.store(of_n, Ordering::Relaxed);
    }

    /// It has been read, or was refused.
    pub fn end(&self) {
        self.of_n.store(0, Ordering::Relaxed);
    }
}

/// A file that says how far it has been read.
pub(crate) struct Counted<'a, R>(pub R, pub &'a Coming);

impl<R: Read> Read for Counted<'_, R> {
    fn read(&mut self, into: &mut [u8]) -> io::Result<usize> {
        let n = self.0.read(into)?;
        self.1.read_n.fetch_add(n as u64, Ordering::Relaxed);
        Ok(n)
    }
}
