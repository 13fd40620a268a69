//! What a wire does in the piece as it is made: by the workshop's methods, with what its plan changes.

use super::duty::Measured;
use super::{ChooseRequest, Joined};
use crate::fault::Faults;
use crate::figure::Level;
use crate::making::Operation;
use crate::making::holds::Holds;
use crate::making::route::Place;
use crate::piece::Piece;
use crate::tool::workshop::Workshop;
use crate::wire::Wire;

impl ChooseRequest {
    /// Puts what the finished piece holds in place of the estimate. Gives why it cannot be made of this wire, or which
    /// of its own checks it fails.
    pub(super) fn as_made(&self, wire: &Wire, workshop: &Workshop, measured: &mut Measured) -> Vec<String> {
        let piece = self.joined(self.purpose.clone().in_wire(wire.clone()));
        let (holds, tumbled) = match finished(&piece, workshop) {
            Ok(finished) => finished,
            Err(faults) => return faults.0.into_iter().take(1).map(|fault| fault.message).collect(),
        };
        if let Some(now) = holds {
            // What the barrel would add, where it is not in the route already.
            let barrel = piece.changes().toggled(Operation::Tumble, Place::AtTheEnd);
            let after = if tumbled { None } else { finished(&piece.clone().changed(barrel), workshop).ok() };
            let after = after.and_then(|(holds, _)| holds).unwrap_or(now);
            (measured.holds_n, measured.holds_hardened_n) = (now.pulls_open_n, after.pulls_open_n);
            measured.closed = now.closed;
        }
        let Piece::Finding(request) = &piece else { return vec![] };
        let Ok(finished) = request.finished(workshop) else { return vec![] };
        measured.cut_mm = Some(finished.blank.flush_mm);
        let checks = finished.checks(workshop).into_iter();
        checks.filter(|check| !check.ok && check.level == Level::Stop).map(|check| check.text).collect()
    }

    /// The piece, joined as asked where its own plan does not do so already.
    fn joined(&self, piece: Piece) -> Piece {
        let by = match self.joined {
            Joined::Not => return piece,
            Joined::Fused => Operation::Fuse,
            Joined::Soldered => Operation::Solder,
        };
        match &piece {
            // Its rings hang open in each other.
            Piece::Chain(_) => piece,
            Piece::Rings(request) => {
                let changes = request.route.choosing("joint", by.word());
                changes.map(|changes| piece.clone().changed(changes)).unwrap_or(piece)
            }
            Piece::Finding(request) => match request.joins_after() {
                Some(after) if !request.route.puts_in(by) => {
                    let changes = request.route.toggled(by, Place::After(after));
                    piece.changed(changes)
                }
                _ => piece,
            },
        }
    }
}

/// What a piece holds at the end of its route, and whether it was in the barrel by then.
fn finished(piece: &Piece, workshop: &Workshop) -> Result<(Option<Holds>, bool), Faults> {
    let finished = piece.finished(workshop)?;
    let tumbled = finished.made.steps.iter().any(|step| step.operation == Operation::Tumble);
    Ok((finished.holds, tumbled))
}
