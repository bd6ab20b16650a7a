/** Words and sentences the core has in English – moves, aids, kinds of things, fields – and what they are in German. */
export const PHRASES: Readonly<Record<string, string>> = {
  '0 keeps the horizon in the middle; below 0 looks down.':
    '0 hält den Horizont in der Mitte; unter 0 blickt sie nach unten.',
  '3, 5 or 7, from dark to bright.': '3, 5 oder 7, von dunkel nach hell.',
  'A background with depth, so that the turn reads.':
    'Ein Hintergrund mit Tiefe, damit die Drehung zu lesen ist.',
  'A fixed camera, a line flown slowly before, and a spotter.':
    'Eine feste Kamera, eine vorher langsam geflogene Linie, und ein Beobachter.',
  'A foreground worth starting in, then an open line over it.':
    'Ein Vordergrund, der den Anfang lohnt, dann eine offene Linie darüber.',
  'A gap walked and measured on foot, and a free way out behind it.':
    'Eine zu Fuß abgegangene und gemessene Lücke, und ein freier Weg dahinter hinaus.',
  'A house for sale or rent: its front, its ground, its surroundings, and stills from the same spots.':
    'Ein Haus zum Verkauf oder zur Miete: Front, Grundstück, Umgebung, und Fotos von denselben Stellen.',
  'A line behind you that you have looked at from the ground.':
    'Eine Linie hinter dir, die du vom Boden angesehen hast.',
  'A line beside the subject that is free at both ends.': 'Eine Linie neben dem Motiv, an beiden Enden frei.',
  'A long lens, and a background worth bringing close.':
    'Eine lange Brennweite, und ein Hintergrund, der das Heranholen lohnt.',
  'A market, race or open-air stage, filmed from beside and never over people.':
    'Ein Markt, ein Rennen oder eine Freilichtbühne, von der Seite gefilmt und nie über Menschen.',
  'A near edge to come from: a wall, a trunk, a rock.': 'Eine nahe Kante: eine Mauer, ein Stamm, ein Fels.',
  'A near shot shows who or what it is about; the cut needs a face between the wide ones.':
    'Eine nahe Einstellung zeigt, um wen oder was es geht; der Schnitt braucht ein Gesicht zwischen den weiten.',
  'A part of a circle turns the subject in the light.': 'Ein Teil eines Kreises dreht das Motiv im Licht.',
  'A pattern on the ground, clear air down to the lowest point.':
    'Ein Muster am Boden, freie Luft bis zum tiefsten Punkt.',
  'A pattern on the ground: rows, tracks, a crossing.': 'Ein Muster am Boden: Reihen, Gleise, eine Kreuzung.',
  'A pattern that carries: rails, rows, a shore.': 'Ein tragendes Muster: Gleise, Reihen, ein Ufer.',
  'A short film about one building or landmark: arrive, look around it, see its details, leave.':
    'Ein kurzer Film über ein Gebäude oder Wahrzeichen: ankommen, umsehen, Details sehen, gehen.',
  'A still scene: what moves between the stills shows twice.':
    'Eine stille Szene: was sich zwischen den Fotos bewegt, ist doppelt zu sehen.',
  'A subject that moves on a line past the aircraft.':
    'Ein Motiv, das sich auf einer Linie am Fluggerät vorbei bewegt.',
  'A subject that moves on a line with its speed known, and a free line beside it.':
    'Ein Motiv auf einer Linie mit bekanntem Tempo, und eine freie Linie daneben.',
  'A subject that moves on a line with its speed known.':
    'Ein Motiv, das sich auf einer Linie mit bekanntem Tempo bewegt.',
  'A subject that stands free, something near to pass.':
    'Ein frei stehendes Motiv, und etwas Nahes zum Vorbeiziehen.',
  'A subject that stands out from what is behind it, and clear air all round.':
    'Ein Motiv, das sich vom Dahinter abhebt, und ringsum freie Luft.',
  'A subject you may come this near to, and still air.':
    'Ein Motiv, dem du so nahe kommen darfst, und ruhige Luft.',
  'A way the pilot or a helper walks.': 'Ein Weg, den Pilot oder Helfer gehen.',
  'About 700 g, wide and long lens': 'Etwa 700 g, weites und langes Objektiv',
  'About 900 g, larger sensor': 'Etwa 900 g, größerer Sensor',
  'Above the launch point.': 'Über dem Startpunkt.',
  Action: 'Aktion',
  'After much movement a still frame lets the place breathe, and cuts with anything.':
    'Nach viel Bewegung lässt ein stehendes Bild den Ort atmen, und es schneidet sich mit allem.',
  'All that surrounds the subject gathers in on it.': 'Alles ringsum sammelt sich auf das Motiv.',
  'Along the edge': 'Am Rand entlang',
  Alongside: 'Daneben',
  'An open field about a cone or a bag, twice as wide and high as planned.':
    'Ein offenes Feld um einen Kegel oder eine Tasche, doppelt so weit und hoch wie geplant.',
  'An open field with a helper who walks the line; nobody else near.':
    'Ein offenes Feld mit einem Helfer, der die Linie geht; niemand sonst in der Nähe.',
  'An open field, high and away from people and wires.':
    'Ein offenes Feld, hoch und weg von Menschen und Drähten.',
  'An open field, three times as high first, then down step by step.':
    'Ein offenes Feld, zuerst dreimal so hoch, dann Schritt für Schritt tiefer.',
  'An open line over the subject.': 'Eine offene Linie über das Motiv.',
  'An open line to the subject, better with something to pass close by.':
    'Eine offene Linie zum Motiv, besser mit etwas, das nah vorbeizieht.',
  'An open slope of air to the subject, and an end point you have seen from the ground.':
    'Ein offener Hang aus Luft zum Motiv, und ein Endpunkt, den du vom Boden gesehen hast.',
  Animals: 'Tiere',
  'Animals that would be driven up.': 'Tiere, die aufgescheucht würden.',
  Arc: 'Bogen',
  Around: 'Herum',
  'Around the house': 'Um das Haus',
  'Around you': 'Um dich herum',
  'Arrive and turn': 'Ankommen und drehen',
  'Arrive low, rise': 'Tief ankommen, steigen',
  'As drawn: each bend is yaw with a little roll, eased in and out.':
    'Wie gezeichnet: jede Biegung ist Gieren mit etwas Rollen, sanft begonnen und beendet.',
  'At each still': 'An jedem Foto',
  'At this distance you may lose sight of the aircraft: mind the sight limit and the way home against the wind.':
    'Auf diese Entfernung verlierst du das Fluggerät vielleicht aus der Sicht: achte auf die Sichtgrenze und den Heimweg gegen den Wind.',
  'At this speed nothing can be avoided: no people, no animals, no wires, and a spotter who sees the aircraft. Check the local rule for goggles.':
    'Bei diesem Tempo ist nichts mehr zu vermeiden: keine Menschen, keine Tiere, keine Drähte, und ein Beobachter, der das Fluggerät sieht. Prüfe die örtliche Regel für Brillen.',
  Backward: 'Rückwärts',
  'Backward and throttle up together, the camera tilting down.':
    'Rückwärts und Gas zugleich, die Kamera neigt sich nach unten.',
  'Backward only; a little tilt up as you leave.': 'Nur rückwärts; beim Wegfliegen etwas nach oben neigen.',
  'Backwards and up': 'Rückwärts und hoch',
  'Bearing from the subject to the camera: 180 stands south of it and looks north.':
    'Richtung vom Motiv zur Kamera: 180 steht südlich davon und blickt nach Norden.',
  'Before it fills': 'Bevor es sich füllt',
  'Behind this lies that: the surprise of a place.':
    'Hinter diesem liegt jenes: die Überraschung eines Ortes.',
  'Behind: we go where they go. In front: we see what they feel.':
    'Dahinter: wir gehen, wohin sie gehen. Davor: wir sehen, was sie fühlen.',
  'Beside it at the end': 'Am Ende daneben',
  'Beside it at the start': 'Am Anfang daneben',
  'Beside its way': 'Neben seinem Weg',
  'Between a blue sky and warm lamps.': 'Zwischen blauem Himmel und warmen Lampen.',
  'Between the nearest edges, leaves and wires counted.':
    'Zwischen den nächsten Kanten, Blätter und Drähte mitgezählt.',
  'Between the propeller tips and the edge.': 'Zwischen Propellerspitzen und Kante.',
  'Between two frames; twice the shutter at least.':
    'Zwischen zwei Bildern; mindestens das Doppelte der Verschlusszeit.',
  'Between two points the line bends: check it on the plan, not only at its points.':
    'Zwischen zwei Punkten biegt sich die Linie: prüfe sie auf dem Plan, nicht nur an den Punkten.',
  Building: 'Gebäude',
  Camera: 'Kamera',
  'Camera set up at': 'Kamera eingestellt auf',
  Cameras: 'Kameras',
  'Caps speed and turns so that small movements of the thumb stay small.':
    'Begrenzt Tempo und Drehung, sodass kleine Daumenbewegungen klein bleiben.',
  'Card space': 'Kartenplatz',
  'Charge now': 'Ladung jetzt',
  'Charge with somebody near, on something that does not burn, and off when you leave.':
    'Lade, wenn jemand in der Nähe ist, auf etwas, das nicht brennt, und schalte ab, wenn du gehst.',
  'Charged on': 'Geladen an',
  'Charging time': 'Ladezeit',
  'Clean clips of ten seconds each, one idea a clip, of one subject.':
    'Saubere Clips von je zehn Sekunden, eine Idee je Clip, von einem Motiv.',
  'Clear air above; something near at the start gives it depth.':
    'Freie Luft darüber; etwas Nahes am Anfang gibt Tiefe.',
  'Clear air all round, and a last turn that stays above everything near.':
    'Freie Luft ringsum, und eine letzte Runde über allem Nahen.',
  'Clear air all round, to the widest turn and the highest point.':
    'Freie Luft ringsum, bis zur weitesten Runde und zum höchsten Punkt.',
  'Clear air behind and above, looked at before the take.':
    'Freie Luft dahinter und darüber, vor dem Take angesehen.',
  'Climb rate': 'Steigrate',
  'Climbs when the ground rises.': 'Steigt, wenn der Boden steigt.',
  'Cloud at low sun.': 'Wolken bei tiefer Sonne.',
  'Cloud makes the light colder.': 'Wolken machen das Licht kälter.',
  'Clouds, shadows, water or people that change; steady air.':
    'Wolken, Schatten, Wasser oder Menschen, die sich ändern; ruhige Luft.',
  'Cold packs warm up in a bag or a room: not on the body, not near a flame, not on a heater.':
    'Kalte Akkus wärmen in Tasche oder Zimmer auf: nicht am Körper, nicht an einer Flamme, nicht auf einer Heizung.',
  'Comes down to one person, one thing.': 'Kommt herunter zu einer Person, einem Ding.',
  'Comes from': 'Kommt aus',
  'Comes round the corner and finds it.': 'Kommt um die Ecke und findet es.',
  'Comes, looks, and ends looking straight down on it.': 'Kommt, blickt und endet senkrecht von oben.',
  Condition: 'Zustand',
  'Counts where the camera of the kit has a gimbal; a fixed one brings its own tilt.':
    'Zählt, wo die Kamera der Ausrüstung einen Gimbal hat; eine feste bringt ihre Neigung mit.',
  'Crane up': 'Kranfahrt hoch',
  'Creeps sideways, or is held; hands off between the frames.':
    'Kriecht seitwärts, oder wird gehalten; Hände weg zwischen den Bildern.',
  'Crosses a threshold: from one world into the next.':
    'Überschreitet eine Schwelle: von einer Welt in die nächste.',
  'Cruise speed': 'Reisegeschwindigkeit',
  'Cruise time': 'Reiseflugzeit',
  Cycles: 'Ladezyklen',
  'Daylight.': 'Tageslicht.',
  Descend: 'Abstieg',
  'Descend slowly: an aircraft that sinks into its own downwash drops. Land at once if it does.':
    'Sinke langsam: ein Fluggerät, das in seinen eigenen Abwind sinkt, fällt. Lande sofort, wenn es das tut.',
  'Descent rate': 'Sinkrate',
  Detail: 'Detail',
  'Detail in passing': 'Detail im Vorbeiziehen',
  Direction: 'Richtung',
  Distance: 'Abstand',
  'Drag area': 'Widerstandsfläche',
  'Drift shows in a still frame: wait until the hover has settled.':
    'Drift zeigt sich im stehenden Bild: warte, bis das Schweben ruhig ist.',
  'Drift spoils the stack: wait until the hover has settled.':
    'Drift verdirbt die Reihe: warte, bis das Schweben ruhig ist.',
  'Drop in': 'Hinabgleiten',
  'Each takes': 'Jedes dauert',
  'Edge past the line of sight': 'Kante über die Sichtlinie hinaus',
  Empty: 'Leer',
  'Ends at': 'Endet bei',
  'Ends at height': 'Endet in Höhe',
  'Ends behind it': 'Endet dahinter',
  Energy: 'Energie',
  Establish: 'Gesamtansicht',
  Event: 'Veranstaltung',
  Every: 'Alle',
  'Every point seen from where you stand, and the air between them free.':
    'Jeder Punkt ist von deinem Standort zu sehen, und die Luft dazwischen frei.',
  'Everything comes at the aircraft from the side: walk the line first, keep well off people.':
    'Alles kommt von der Seite auf das Fluggerät zu: geh die Linie zuerst ab, bleib weit weg von Menschen.',
  'Exposure, focus and white balance locked; nothing near that shifts between the stills.':
    'Belichtung, Fokus und Weißabgleich fest; nichts Nahes, das sich zwischen den Fotos verschiebt.',
  'Eye to eye, then above: intimate, then looking on.':
    'Auge in Auge, dann darüber: vertraut, dann betrachtend.',
  'FPV line': 'FPV-Linie',
  'Falls or floats: the ground turns and comes, or goes.':
    'Fällt oder schwebt: der Boden dreht sich und kommt, oder geht.',
  'Filter factor': 'Filterfaktor',
  Firmware: 'Firmware',
  'Firmware looked up on': 'Firmware nachgesehen am',
  'First location': 'Erster Drehort',
  Fits: 'Passt an',
  'Flies a circle about a point at one height and one distance.':
    'Fliegt einen Kreis um einen Punkt in einer Höhe und einem Abstand.',
  'Flies points you set beforehand, at the speeds you give.':
    'Fliegt vorher gesetzte Punkte im angegebenen Tempo.',
  'Fly-over with tilt': 'Überflug mit Neigung',
  'Fly-through': 'Durchflug',
  'Flying aids': 'Flughilfen',
  'Follow or lead': 'Folgen oder Führen',
  Forward: 'Vorwärts',
  'Forward and throttle down together, the camera tilting up to keep the subject.':
    'Vorwärts und Gas weg zugleich, die Kamera neigt sich hoch und hält das Motiv.',
  'Forward and throttle up together, the camera tilting down to the subject.':
    'Vorwärts und Gas zugleich, die Kamera neigt sich zum Motiv.',
  'Forward at one speed, the camera tilting down faster and faster.':
    'Vorwärts mit einem Tempo, die Kamera neigt sich immer schneller.',
  'Forward behind it, backward in front of it, at its speed.':
    'Vorwärts dahinter, rückwärts davor, in seinem Tempo.',
  'Forward only, camera straight down.': 'Nur vorwärts, Kamera senkrecht nach unten.',
  'Forward only, lined up long before; no correction inside.':
    'Nur vorwärts, lange vorher ausgerichtet; keine Korrektur darin.',
  'Forward only; a little tilt down as you close in.':
    'Nur vorwärts; beim Näherkommen etwas nach unten neigen.',
  'Forward, back; a quarter turn; then the same line sideways, and back.':
    'Vorwärts, zurück; eine Vierteldrehung; dann dieselbe Linie seitwärts, und zurück.',
  'Four inputs at once: fly the orbit first, add the climb, then the widening.':
    'Vier Eingaben zugleich: fliege zuerst die Umkreisung, dann mit Steigen, dann mit Weiten.',
  'Four-pass line': 'Linie in vier Durchgängen',
  'Free air from the lowest to the highest edge.': 'Freie Luft von der untersten zur obersten Kante.',
  'Free route': 'Freie Route',
  'From a low line the near things rush and the place gets depth; all from above looks like a map.':
    'Von einer tiefen Linie rauscht Nahes vorbei und der Ort bekommt Tiefe; alles von oben sieht aus wie eine Karte.',
  'From above': 'Von oben',
  'From behind': 'Von hinten',
  'From far away it brings the background close and lifts the subject off it.':
    'Von weit weg holt sie den Hintergrund nah und hebt das Motiv davon ab.',
  'From straight above': 'Von senkrecht oben',
  'From straight above the place becomes a drawing: a good bridge between scenes.':
    'Von senkrecht oben wird der Ort zur Zeichnung: eine gute Brücke zwischen Szenen.',
  'From the camera, over the ground.': 'Von der Kamera, über Grund.',
  'From the whole place down to the one thing in it.': 'Vom ganzen Ort hinunter zu dem einen darin.',
  'Front, along': 'Front, entlang',
  'Front, approach': 'Front, Annäherung',
  'Gap across': 'Lücke quer',
  'Gap up': 'Lücke hoch',
  'Gimbal tilt rate': 'Neigungsrate des Gimbals',
  'Gimbal tilt up to': 'Gimbal-Neigung nach oben bis',
  'Goes its own way: round the corner, over the edge, along the stream.':
    'Geht ihren eigenen Weg: um die Ecke, über die Kante, den Bach entlang.',
  'Going away gives the cut its ending.': 'Wegfliegen gibt dem Schnitt sein Ende.',
  'Going toward the subject invites the viewer.': 'Auf das Motiv zu lädt den Zuschauer ein.',
  'Ground you know under you.': 'Boden, den du unter dir kennst.',
  'Guarded, indoors, fixed tilt': 'Geschützt, für innen, feste Neigung',
  'Half around': 'Halb herum',
  'Half of it is flown backwards or sideways: walk the line first.':
    'Die Hälfte wird rückwärts oder seitwärts geflogen: geh die Linie zuerst ab.',
  'Half of the circle is flown behind the subject, where you may not see the aircraft.':
    'Die Hälfte des Kreises wird hinter dem Motiv geflogen, wo du das Fluggerät vielleicht nicht siehst.',
  'Hands off once the frame is set.': 'Hände weg, sobald das Bild steht.',
  'Hands off; one press.': 'Hände weg; ein Druck.',
  Health: 'Zustand',
  Height: 'Höhe',
  'Height above ground': 'Höhe über dem Boden',
  'Height through it': 'Höhe darin',
  'Heights are above the launch point, not above the ground: check every leg.':
    'Höhen gelten über dem Startpunkt, nicht über dem Boden: prüfe jeden Abschnitt.',
  'High sun, short dark shadows.': 'Hohe Sonne, kurze dunkle Schatten.',
  Hold: 'Halten',
  House: 'Haus',
  'Hover time': 'Schwebezeit',
  'Hovers and turns to keep a subject in the frame.':
    'Schwebt und dreht sich, um ein Motiv im Bild zu halten.',
  'How far the thing in front reaches over the straight line to the subject.':
    'Wie weit das Vordere über die gerade Linie zum Motiv ragt.',
  'In front you fly backwards ahead of someone: keep a wide gap and a way out upwards.':
    'Davor fliegst du rückwärts vor jemandem her: halte weiten Abstand und einen Ausweg nach oben.',
  'In the air for the shot': 'In der Luft für die Einstellung',
  'In wind it may be too slow to hold its place, or to come home: switch back for the way.':
    'Im Wind ist es vielleicht zu langsam, um die Stelle zu halten oder heimzukommen: schalte für den Weg zurück.',
  'Inputs at once': 'Eingaben zugleich',
  Insurance: 'Versicherung',
  'Insured until': 'Versichert bis',
  'Internal memory': 'Interner Speicher',
  'Invites the viewer in: this is where it happens.': 'Lädt den Zuschauer ein: hier geschieht es.',
  'It comes past': 'Es zieht vorbei',
  'It comes, it passes, it goes: one breath.': 'Es kommt, zieht vorbei, geht: ein Atemzug.',
  'It does not know where the subject is.': 'Es weiß nicht, wo das Motiv ist.',
  'It does not look for what stands on the far side: fly the circle once by hand.':
    'Es sieht nicht nach, was auf der anderen Seite steht: fliege den Kreis einmal von Hand.',
  'It does not wait for stills.': 'Es wartet nicht auf Fotos.',
  'It flies alongside, nothing else.': 'Es fliegt daneben, sonst nichts.',
  'It flies behind or in front, nothing else.': 'Es fliegt dahinter oder davor, sonst nichts.',
  'It flies circles, nothing else.': 'Es fliegt Kreise, sonst nichts.',
  'It flies on until you stop it: know where the line ends.':
    'Es fliegt weiter, bis du es anhältst: wisse, wo die Linie endet.',
  'It hangs in the air for minutes: watch the wind, the pack and the sky, and keep the aircraft in sight.':
    'Es hängt minutenlang in der Luft: achte auf Wind, Akku und Himmel, und behalte das Fluggerät in Sicht.',
  'It keeps its distance.': 'Es hält seinen Abstand.',
  'It keeps its height.': 'Es hält seine Höhe.',
  'It keeps its height: a track that climbs is flown by hand.':
    'Es hält seine Höhe: eine steigende Verfolgung wird von Hand geflogen.',
  'It looks sideways while it flies: clear its own line.':
    'Es blickt beim Fliegen seitwärts: mach seine eigene Linie frei.',
  'It loses the subject behind trees and in shadow, and does not see wires.':
    'Es verliert das Motiv hinter Bäumen und im Schatten und sieht keine Drähte.',
  'It only climbs: over ground that falls away it stays where it is, and the height above ground grows.':
    'Es steigt nur: über abfallendem Boden bleibt es, wo es ist, und die Höhe über dem Boden wächst.',
  'It only turns after a subject.': 'Es dreht sich nur einem Motiv nach.',
  'It passes close: stand clear of its way, and agree on the line first.':
    'Es zieht nah vorbei: steh frei von seinem Weg, und sprich die Linie vorher ab.',
  'It stays where it is.': 'Es bleibt, wo es ist.',
  'It turns as fast as the subject passes: leave room for the yaw.':
    'Es dreht sich so schnell, wie das Motiv vorbeizieht: lass Raum für das Gieren.',
  'Its top above the launch point.': 'Seine Oberkante über dem Startpunkt.',
  'Keeps course and speed; you steer the camera.': 'Hält Kurs und Tempo; du steuerst die Kamera.',
  'Keeps dusk blue without turning it cold.': 'Hält die Dämmerung blau, ohne sie kalt zu machen.',
  'Keeps its distance behind or in front of a subject that moves.':
    'Hält Abstand hinter oder vor einem Motiv, das sich bewegt.',
  'Keeps level beside a subject that moves.': 'Bleibt neben einem Motiv, das sich bewegt.',
  'Keeps low sun warm; automatic would take the gold out.':
    'Hält tiefe Sonne warm; Automatik nähme das Gold heraus.',
  'Keeps the subject back, then shows it.': 'Hält das Motiv zurück, dann zeigt es sich.',
  'Kept free each side': 'Je Seite frei gehalten',
  Kind: 'Art',
  'Know where the arc ends before it starts.': 'Wisse vor dem Beginn, wo der Bogen endet.',
  'Lamps a little warm, the sky blue.': 'Lampen etwas warm, der Himmel blau.',
  'Lamps burn while the sky still holds light.': 'Lampen brennen, während der Himmel noch Licht hält.',
  Landmark: 'Wahrzeichen',
  Landscape: 'Landschaft',
  'Launch point': 'Startpunkt',
  Leave: 'Abschied',
  'Leaves the place and shows what it belongs to.': 'Verlässt den Ort und zeigt, wozu er gehört.',
  Length: 'Länge',
  'Let it go': 'Loslassen',
  'Let packs cool before charging; never charge one that is hot, swollen or hurt.':
    'Lass Akkus vor dem Laden abkühlen; lade nie einen heißen, aufgeblähten oder verletzten.',
  'Lets go: the subject shrinks into its world. The last picture of a film.':
    'Lässt los: das Motiv schrumpft in seine Welt. Das letzte Bild eines Films.',
  'Lets the place breathe; the subject does the moving.': 'Lässt den Ort atmen; das Motiv bewegt sich.',
  'Lights on': 'Lichter an',
  'Lone tree': 'Einzelner Baum',
  'Long range, fixed tilt': 'Große Reichweite, feste Neigung',
  'Long slide': 'Lange Seitfahrt',
  'Long-lens orbit': 'Umkreisung mit langer Brennweite',
  'Look up before you start: wires and branches are not in the frame.':
    'Sieh vor dem Start nach oben: Drähte und Äste sind nicht im Bild.',
  'Looks round: from one thing to the next, or along a wide one.':
    'Sieht sich um: von einem zum nächsten, oder entlang von etwas Weitem.',
  'Looks up or down': 'Blickt hoch oder runter',
  'Low and close': 'Tief und nah',
  'Low sun, long shadows, warm.': 'Tiefe Sonne, lange Schatten, warm.',
  'Low-to-high push': 'Tief-hoch-Heranfahrt',
  'Makes a drawing of the place; people become marks on it.':
    'Macht eine Zeichnung aus dem Ort; Menschen werden Zeichen darauf.',
  Mass: 'Masse',
  'Mast or pole': 'Mast',
  'May be flown into once somebody has said yes.': 'Darf beflogen werden, wenn jemand zugestimmt hat.',
  'Moves over': 'Bewegt sich über',
  'Moving time-lapse': 'Bewegter Zeitraffer',
  Name: 'Name',
  'Near a person, only with their consent and a clear way out; prop guards, slow mode.':
    'Bei Menschen nur mit Einwilligung und freiem Ausweg; Propellerschutz, langsamer Modus.',
  'Near noon the aircraft’s own shadow is in the frame; never hover over people.':
    'Gegen Mittag liegt der eigene Schatten im Bild; schwebe nie über Menschen.',
  'No people near the gap or behind it. Sensing may brake in front of it: know what yours does, and stop rather than correct.':
    'Keine Menschen an der Lücke oder dahinter. Die Sensoren bremsen vielleicht davor: kenne deine, und halte an, statt zu korrigieren.',
  'No shot shows the whole.': 'Keine Einstellung zeigt das Ganze.',
  'No shot stands still.': 'Keine Einstellung steht still.',
  'No shots and no location: you build all of it.':
    'Keine Einstellungen und kein Drehort: du baust alles selbst.',
  'No-fly area': 'Flugverbotsfläche',
  'Not to be flown into. Where you have it from goes with it.':
    'Nicht zu befliegen. Woher du es hast, gehört dazu.',
  Notes: 'Notizen',
  'Nothing comes near.': 'Nichts kommt nah.',
  'Nothing goes in.': 'Nichts fährt heran.',
  'Nothing goes round.': 'Nichts geht herum.',
  'Nothing is flown high.': 'Nichts ist hoch geflogen.',
  'Nothing is flown low.': 'Nichts ist tief geflogen.',
  'Nothing lets go.': 'Nichts lässt los.',
  'Nothing looks straight down.': 'Nichts blickt senkrecht nach unten.',
  'Nothing moves.': 'Nichts bewegt sich.',
  'Nothing passes by.': 'Nichts zieht vorbei.',
  'Nothing rises.': 'Nichts steigt auf.',
  'Once, the viewer must see where everything lies.': 'Einmal muss der Zuschauer sehen, wo alles liegt.',
  'One frame with all of the light in it.': 'Ein Bild mit allem Licht darin.',
  'One high shot sets the place in its land.': 'Eine hohe Einstellung setzt den Ort in sein Land.',
  'One line, four cuts: in, out, past, and past again.':
    'Eine Linie, vier Schnitte: hinein, hinaus, vorbei und noch einmal vorbei.',
  'One person, one small aircraft, a new place each day, often in the picture.':
    'Eine Person, ein kleines Fluggerät, jeden Tag ein neuer Ort, oft im Bild.',
  'One take': 'Ein Take',
  'One tree with its crown.': 'Ein Baum mit seiner Krone.',
  'Opens the view: from the small thing to all of it.': 'Öffnet den Blick: vom Kleinen zu allem.',
  Orbit: 'Umkreisung',
  'Orbit about a point': 'Umkreisen eines Punkts',
  'Over the ground, from the middle of the subject.': 'Über Grund, von der Mitte des Motivs.',
  'Over the rise': 'Über die Anhöhe',
  'Overall height': 'Gesamthöhe',
  'Overall width': 'Gesamtbreite',
  Overlap: 'Überlappung',
  Pace: 'Tempo',
  Pan: 'Schwenk',
  Panorama: 'Panorama',
  'Part orbit': 'Teilumkreisung',
  'Passes beside it': 'Zieht daneben vorbei',
  'Passes by without letting go: the subject stays, everything round it moves.':
    'Zieht vorbei, ohne loszulassen: das Motiv bleibt, alles herum bewegt sich.',
  'Passes by: near things cross far things, the place gets depth.':
    'Zieht vorbei: Nahes quert Fernes, der Ort bekommt Tiefe.',
  People: 'Menschen',
  'People who are not part of the shoot.': 'Menschen, die nicht zum Dreh gehören.',
  'Permission needed': 'Erlaubnis nötig',
  'Pilot stands': 'Standort des Piloten',
  'Pitch held: the speed is what keeps the horizon where it is.':
    'Nicken gehalten: das Tempo hält den Horizont, wo er ist.',
  'Plan-B landing': 'Ausweichlandung',
  'Plot from above': 'Grundstück von oben',
  'Portrait of a place': 'Porträt eines Ortes',
  'Presses the far behind the near: big, calm, heavy.':
    'Drückt das Ferne hinter das Nahe: groß, ruhig, schwer.',
  'Propellers in frame from': 'Propeller im Bild ab',
  Property: 'Immobilie',
  'Pull away': 'Wegziehen',
  'Pull back': 'Rückfahrt',
  'Push in': 'Heranfahrt',
  'Quarter around': 'Ein Viertel herum',
  Radius: 'Radius',
  'Radius at the end': 'Radius am Ende',
  'Radius at the start': 'Radius am Anfang',
  'Rated energy': 'Nennenergie',
  'Rated pack energy': 'Nennenergie des Akkus',
  'Reads the ground like a page.': 'Liest den Boden wie eine Seite.',
  Recorded: 'Aufgenommen',
  Registration: 'Kennzeichen',
  Retired: 'Ausgemustert',
  'Reveal the ground': 'Das Gelände enthüllen',
  Rider: 'Fahrer',
  Rise: 'Aufstieg',
  'Rise reveal': 'Aufstiegs-Enthüllung',
  'Rising opens the view from the small thing to all of it.':
    'Aufsteigen öffnet den Blick vom Kleinen zu allem.',
  'Rotor diameter': 'Rotordurchmesser',
  Rotors: 'Rotoren',
  'Round a bend': 'Um eine Biegung',
  'Route of points': 'Route aus Punkten',
  Rows: 'Reihen',
  'Rules for carrying packs differ by airline and by road: ask before you travel.':
    'Regeln zum Mitführen von Akkus sind je Fluggesellschaft und Straße verschieden: frage vor der Reise.',
  'Seen from': 'Gesehen aus',
  'Self-discharge after': 'Selbstentladung nach',
  'Senses obstacles': 'Erkennt Hindernisse',
  'Set the tilt speed low before the take; most start too fast.':
    'Stell die Neigegeschwindigkeit vor dem Take niedrig; die meisten beginnen zu schnell.',
  'Shows the subject from every side; the world turns about it.':
    'Zeigt das Motiv von allen Seiten; die Welt dreht sich darum.',
  'Side reveal': 'Seitliche Enthüllung',
  Sideways: 'Seitwärts',
  'Sideways and yaw against each other, both held still.':
    'Seitwärts und Gieren gegeneinander, beide ruhig gehalten.',
  'Sideways and yaw against each other, for a part of the circle.':
    'Seitwärts und Gieren gegeneinander, für einen Teil des Kreises.',
  'Sideways and yaw against each other, with throttle down and a little forward.':
    'Seitwärts und Gieren gegeneinander, mit weniger Gas und etwas vorwärts.',
  'Sideways and yaw against each other, with throttle up and a little backward.':
    'Seitwärts und Gieren gegeneinander, mit Gas und etwas rückwärts.',
  'Sideways at the subject’s speed, the yaw kept on it.':
    'Seitwärts im Tempo des Motivs, das Gieren darauf gehalten.',
  'Sideways from far away, the yaw barely moving.':
    'Seitwärts aus großer Entfernung, das Gieren bewegt sich kaum.',
  'Sideways only, out from behind something near.': 'Nur seitwärts, hinter etwas Nahem hervor.',
  'Sideways only; nothing else moves.': 'Nur seitwärts; nichts anderes bewegt sich.',
  'Sideways, near things cross far ones: the strongest sense of depth.':
    'Seitwärts quert Nahes das Ferne: das stärkste Gefühl von Tiefe.',
  'Sideways, with the yaw following the subject.': 'Seitwärts, das Gieren folgt dem Motiv.',
  'Sink slowly: falling into your own downwash shakes the aircraft. Never over people.':
    'Sinke langsam: das Fallen in den eigenen Abwind rüttelt das Fluggerät. Nie über Menschen.',
  'Sinking fast through your own downwash shakes the aircraft: stay slow, and stop well above the ground.':
    'Schnelles Sinken durch den eigenen Abwind rüttelt das Fluggerät: bleib langsam, und halte deutlich über dem Boden an.',
  Size: 'Größe',
  Slide: 'Seitfahrt',
  'Slide and turn': 'Seitfahrt mit Drehung',
  'Slow stick mode': 'Langsamer Knüppelmodus',
  'Small in the land': 'Klein im Land',
  'Soft light without shadows: cloud, or before the sun is up.':
    'Weiches Licht ohne Schatten: Wolken, oder bevor die Sonne da ist.',
  'Something in front to hide behind: a wall, a hedge, a ridge.':
    'Etwas davor, hinter dem man sich verbirgt: eine Mauer, eine Hecke, ein Grat.',
  'Something near in the frame that the far can slide behind.':
    'Etwas Nahes im Bild, hinter dem das Ferne vorbeigleitet.',
  'Something that moves in the frame, or light worth watching.':
    'Etwas, das sich im Bild bewegt, oder Licht, das sich zu sehen lohnt.',
  'Something that moves: a bicycle, a boat, a car, a train.':
    'Etwas, das sich bewegt: ein Fahrrad, ein Boot, ein Auto, ein Zug.',
  'Something to start on and something to end on.': 'Etwas zum Beginnen und etwas zum Enden.',
  'Something worth starting on: ground, water, the sky.':
    'Etwas, das den Anfang lohnt: Boden, Wasser, Himmel.',
  'Space used': 'Belegter Platz',
  Speed: 'Tempo',
  'Speed builds on the way down: know where you stop, well before the subject.':
    'Auf dem Weg nach unten wächst das Tempo: wisse, wo du anhältst, deutlich vor dem Motiv.',
  'Spiral down': 'Spirale hinab',
  'Spiral out': 'Spirale hinaus',
  Stage: 'Bühne',
  'Starts at': 'Beginnt bei',
  'Starts at height': 'Beginnt in Höhe',
  'Starts before it': 'Beginnt davor',
  'Starts with the ground under your feet and ends with the whole place: arrival.':
    'Beginnt mit dem Boden unter den Füßen und endet mit dem ganzen Ort: Ankunft.',
  'Stick profiles': 'Knüppelprofile',
  Still: 'Stehend',
  'Still frame': 'Stehendes Bild',
  Stills: 'Fotos',
  'Stills bracket': 'Belichtungsreihe',
  'Stock set': 'Stock-Satz',
  'Straight down': 'Senkrecht nach unten',
  'Straight-line hold': 'Geradeaus halten',
  'Strongest factor': 'Stärkster Faktor',
  Subject: 'Motiv',
  'Subject in frame': 'Motiv im Bild',
  'Sun above the horizon.': 'Sonne über dem Horizont.',
  'Sun far down.': 'Sonne weit unten.',
  Sweep: 'Winkel',
  'Take-off mass': 'Abflugmasse',
  'Takes what there is.': 'Nimmt, was da ist.',
  'Texture from above': 'Struktur von oben',
  'The aircraft flies to where nobody looks: clear that side first.':
    'Das Fluggerät fliegt, wohin niemand blickt: mach diese Seite zuerst frei.',
  'The long lens stays in the bag.': 'Die lange Brennweite bleibt in der Tasche.',
  'The move changes its height itself.': 'Die Bewegung ändert ihre Höhe selbst.',
  'The path bends or climbs.': 'Der Weg biegt oder steigt.',
  'The sky still glows, lamps already count.': 'Der Himmel leuchtet noch, Lampen zählen schon.',
  'The start is close to the edge: keep a safe gap and clear the side you fly to.':
    'Der Anfang liegt nah an der Kante: halte Abstand und mach die Seite frei, zu der du fliegst.',
  'The subject stands still: there is nothing to follow.':
    'Das Motiv steht still: es gibt nichts zu verfolgen.',
  'The sun across the subject: shape and texture.': 'Die Sonne quer zum Motiv: Form und Struktur.',
  'The sun behind the camera: colour, few shadows.': 'Die Sonne hinter der Kamera: Farbe, wenig Schatten.',
  'The sun behind the subject.': 'Die Sonne hinter dem Motiv.',
  'The sun comes over the horizon.': 'Die Sonne kommt über den Horizont.',
  'The sun goes down behind the horizon.': 'Die Sonne geht hinter dem Horizont unter.',
  'The sun is down or low, and no lamp burns yet.':
    'Die Sonne ist unten oder tief, und noch brennt keine Lampe.',
  'The tilt runs away at the end: slow down before it, and never over people.':
    'Am Ende läuft die Neigung davon: werde vorher langsamer, und nie über Menschen.',
  'The whole place in one picture.': 'Der ganze Ort in einem Bild.',
  'The world opens round the subject: from it alone to all that surrounds it.':
    'Die Welt öffnet sich um das Motiv: von ihm allein zu allem ringsum.',
  'The yaw is slow at the ends and fast in the middle: feed it in gently.':
    'Das Gieren ist an den Enden langsam und in der Mitte schnell: gib es sanft zu.',
  'There is no course to hold.': 'Es gibt keinen Kurs zu halten.',
  'There is no route.': 'Es gibt keine Route.',
  'There is no way to fly.': 'Es gibt keinen Weg zu fliegen.',
  'Thin and tall; its stays reach wider than it looks.':
    'Dünn und hoch; seine Abspannung reicht weiter, als es aussieht.',
  'Three inputs at once close to the ground: practise the line at height first.':
    'Drei Eingaben zugleich nah am Boden: übe die Linie zuerst in der Höhe.',
  'Throttle and yaw together, both small, camera straight down.':
    'Gas und Gieren zugleich, beide klein, Kamera senkrecht nach unten.',
  'Throttle down only, slowly; tilt up as you come down.':
    'Nur Gas weg, langsam; beim Sinken nach oben neigen.',
  'Throttle up only, until the view clears.': 'Nur Gas, bis der Blick frei ist.',
  'Throttle up only; tilt down if the subject should stay.':
    'Nur Gas; nach unten neigen, wenn das Motiv bleiben soll.',
  'Throttle up very gently, the camera tilting down with it.': 'Sehr sanft Gas, die Kamera neigt sich mit.',
  'Tilt at the start': 'Neigung am Anfang',
  'Tilt rate': 'Neigungsrate',
  'Tilt reveal': 'Neige-Enthüllung',
  'Tilt wheel only, from a settled hover.': 'Nur das Neigungsrad, aus ruhigem Schweben.',
  'Tilt, looking ahead': 'Neigung, nach vorn blickend',
  'Time runs, and the place turns under it.': 'Die Zeit läuft, und der Ort dreht sich darunter.',
  'To settle and take it.': 'Zum Beruhigen und Aufnehmen.',
  'Top of frame away from': 'Oberkante des Bildes weg von',
  'Top speed': 'Höchstgeschwindigkeit',
  'Top-down line': 'Linie von oben',
  'Top-down turn': 'Drehung von oben',
  'Top-down turn and sink': 'Drehendes Sinken von oben',
  'Towards the light': 'Zum Licht',
  'Track alongside': 'Begleitfahrt',
  'Tracking alongside': 'Verfolgen daneben',
  'Tracking from behind': 'Verfolgen von hinten',
  'Tracking in place': 'Verfolgen im Stand',
  'Travel diary': 'Reisetagebuch',
  'Travels with someone: we are in it together.': 'Reist mit jemandem: wir sind gemeinsam darin.',
  Tree: 'Baum',
  'Trees as high as the tallest of them.': 'Bäume, so hoch wie der höchste davon.',
  Turn: 'Drehung',
  'Turn rate': 'Drehrate',
  Turns: 'Umdrehungen',
  'Turns the subject a little in the light: presence without show.':
    'Dreht das Motiv ein wenig im Licht: Präsenz ohne Schau.',
  'Typical figures': 'Typische Werte',
  'Under 250 g, one wide lens': 'Unter 250 g, ein weites Objektiv',
  'Under seven seconds across the frame it strobes: turn slowly.':
    'Unter sieben Sekunden quer durchs Bild stroboskopiert es: langsam drehen.',
  'Up and away': 'Hoch und weg',
  'Up over the trees': 'Hoch über die Bäume',
  'Up to the neighbourhood': 'Hoch zur Nachbarschaft',
  'Up to the ridge, not the gutter.': 'Bis zum First, nicht bis zur Traufe.',
  Upward: 'Aufwärts',
  'Use up to': 'Verwenden bis',
  'Usual pack mass': 'Masse des üblichen Akkus',
  'View over your shoulder': 'Blick über deine Schulter',
  Water: 'Wasser',
  'Way on foot': 'Fußweg',
  'We are in it, low and fast.': 'Wir sind mittendrin, tief und schnell.',
  'What falls in is gone, with what it filmed.': 'Was hineinfällt, ist weg, mit dem, was es filmte.',
  'What hides it, away': 'Verdeckendes, entfernt',
  'Where the aircraft takes off and comes home to.': 'Wo das Fluggerät startet und wohin es heimkommt.',
  'Where the pilot stands, if not at the launch point.': 'Wo der Pilot steht, wenn nicht am Startpunkt.',
  'Where to put it down if the way home is cut off.':
    'Wo man es absetzt, wenn der Heimweg abgeschnitten ist.',
  'Where you are': 'Wo du bist',
  'Whole horizon': 'Ganzer Horizont',
  'Wide country in good light, with time for the light to move.':
    'Weites Land in gutem Licht, mit Zeit, dass sich das Licht bewegt.',
  'Wind limit': 'Windgrenze',
  'Wind moves the aircraft between stills: wait for a lull.':
    'Wind bewegt das Fluggerät zwischen den Fotos: warte auf eine Flaute.',
  'Windows lit at dusk': 'Fenster in der Dämmerung',
  Wire: 'Leitung',
  'Wires on poles. Everything under them counts as taken.':
    'Drähte auf Masten. Alles darunter gilt als belegt.',
  Wood: 'Wald',
  'Write speed': 'Schreibrate',
  'Yaw a step, settle, take it; row by row.': 'Einen Schritt gieren, beruhigen, aufnehmen; Reihe für Reihe.',
  'Yaw only, camera straight down.': 'Nur Gieren, Kamera senkrecht nach unten.',
  'Yaw only, from a settled hover.': 'Nur Gieren, aus ruhigem Schweben.',
  'Yaw only, half a turn, timed on the subject.': 'Nur Gieren, eine halbe Drehung, auf das Motiv abgestimmt.',
  'Yaw rate': 'Gierrate',
  You: 'Du',
  'You do not see ahead: clear the line before, and never fly over people.':
    'Du siehst nicht nach vorn: mach die Linie vorher frei, und fliege nie über Menschen.',
  'You fly backwards into what you cannot see: have someone watch, or fly the line forward first.':
    'Du fliegst rückwärts in das, was du nicht siehst: lass jemanden schauen, oder fliege die Linie zuerst vorwärts.',
  'You fly into what you cannot see: walk or fly the line forward first, or have someone watch it.':
    'Du fliegst in das, was du nicht siehst: geh oder fliege die Linie zuerst vorwärts, oder lass jemanden schauen.',
  'You look where you fly, but not at what is beside you: keep a margin to both sides.':
    'Du siehst, wohin du fliegst, aber nicht, was neben dir ist: halte zu beiden Seiten Abstand.',
  'You start close to what hides the view: keep a safe gap, look up first.':
    'Du beginnst nah an dem, was den Blick verdeckt: halte Abstand, sieh zuerst nach oben.',
  'and how high': 'und wie hoch',
  anticlockwise: 'gegen den Uhrzeigersinn',
  clockwise: 'im Uhrzeigersinn',
  commercial: 'kommerziell',
  considers: 'betrachtet',
  'draws in': 'zieht hinein',
  'editorial only': 'nur redaktionell',
  'first quarter': 'erstes Viertel',
  'follows behind': 'folgt dahinter',
  'full moon': 'Vollmond',
  gathers: 'sammelt',
  'goes along': 'geht mit',
  'keeps the subject framed': 'hält das Motiv im Bild',
  'last quarter': 'letztes Viertel',
  'leads in front': 'führt davor',
  learning: 'lernend',
  'lets go': 'lässt los',
  'looks ahead': 'blickt nach vorn',
  'never flown': 'nie geflogen',
  'new moon': 'Neumond',
  'no filter': 'kein Filter',
  'no pack': 'kein Akku',
  'on its left': 'links davon',
  'on its right': 'rechts davon',
  opens: 'öffnet',
  'passes by': 'zieht vorbei',
  rests: 'ruht',
  steady: 'stetig',
  sure: 'sicher',
  'tilt fixed': 'Neigung fest',
  'to the left': 'nach links',
  'to the right': 'nach rechts',
  tried: 'versucht',
  'waits for a release': 'wartet auf Einwilligung',
  'waning crescent': 'abnehmende Sichel',
  'waning gibbous': 'abnehmender Mond',
  'waxing crescent': 'zunehmende Sichel',
  'waxing gibbous': 'zunehmender Mond',
  slow: 'langsam',
  normal: 'normal',
  fast: 'schnell',
  bag: 'in der Tasche',
  case: 'im Etui',
  reader: 'im Leser',
  computer: 'im Computer',
  aircraft: 'im Fluggerät',
  return: 'Rückkehr',
  hover: 'Schweben',
  land: 'Landen',
  Return: 'Rückkehr',
  Hover: 'Schweben',
  Land: 'Landen',
  'any light': 'jedes Licht',
  sunrise: 'Sonnenaufgang',
  sunset: 'Sonnenuntergang',
  'golden light': 'goldenes Licht',
  'blue light': 'blaues Licht',
  daylight: 'Tageslicht',
  night: 'Nacht',
  'lamps on': 'Lampen an',
  'lamps still off': 'Lampen noch aus',
  'flat light': 'weiches Licht',
  'hard light': 'hartes Licht',
  'back light': 'Gegenlicht',
  'side light': 'Seitenlicht',
  'front light': 'Frontlicht',
  'day light': 'Tageslicht',
  'night light': 'Nachtlicht',
  stops: 'Blenden',
  Usable: 'Nutzbar',
  'Whole move': 'Ganze Bewegung',
  Path: 'Weg',
  'Peak speed': 'Höchsttempo',
  front: 'vorn',
  back: 'hinten',
  left: 'links',
  right: 'rechts',
  up: 'oben',
  down: 'unten',
};
