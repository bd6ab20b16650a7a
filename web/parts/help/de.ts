import type { HelpKey } from '.';

export const DE: Readonly<Record<HelpKey, string>> = {
  'aircraft.name': 'Wie es in Listen und auf Papier heißt.',
  'aircraft.massKg':
    'Abflugmasse mit üblichem Akku und Propellern, in Gramm: auf dem Etikett oder im Handbuch, besser auf der Waage. Aus ihr folgt die Energie.',
  'aircraft.rotors': 'Zahl der Propeller: zähl sie.',
  'aircraft.rotorDiameterM':
    'Von Spitze zu Spitze eines Propellers, in mm: steht darauf, oft in Zoll (1 Zoll sind 25,4 mm).',
  'aircraft.packWh':
    'Energie des Akkus, mit dem seine Flugzeiten angegeben sind, in Wh: auf dem Etikett dieses Akkus.',
  'aircraft.hoverMinutes':
    'Schwebezeit in ruhiger Luft bis leer, in Minuten: im Datenblatt des Handbuchs. Alle Energie folgt daraus.',
  'aircraft.cruiseMinutes':
    'Flugzeit mit der Reisegeschwindigkeit daneben, in Minuten: im Datenblatt. 0, wenn sie nicht genannt ist: schnelle Wege werden dann geschätzt.',
  'aircraft.cruiseSpeedMs':
    'Geschwindigkeit, zu der die Reiseflugzeit genannt ist: im Datenblatt. 0, wenn unbekannt.',
  'aircraft.maxSpeedMs':
    'Schnellster Geradeausflug in ruhiger Luft, in normaler Einstellung: im Datenblatt oder auf dem Bildschirm der Fernsteuerung.',
  'aircraft.windLimitMs':
    'Wind, für den der Hersteller es freigibt: im Datenblatt. Warnungen beginnen bei einem Anteil davon, der im Briefing steht.',
  'aircraft.maxClimbMs': 'Schnellster Steigflug: im Datenblatt.',
  'aircraft.maxDescentMs': 'Schnellster Sinkflug: im Datenblatt. Oft weniger als der Steigflug.',
  'aircraft.maxYawDegS':
    'Schnellste Drehung auf der Stelle, in Grad je Sekunde: in den Einstellungen der Fernsteuerung, oder stopp eine volle Drehung.',
  'aircraft.maxTiltDegS':
    'Schnellstes Neigen der Kamera, in Grad je Sekunde: in den Einstellungen des Gimbals.',
  'aircraft.spanM':
    'Größte Breite mit drehenden Propellern, in mm: miss sie. Lücken und Abstände werden danach beurteilt.',
  'aircraft.heightM': 'Von den Füßen bis oben, in mm: miss sie.',
  'aircraft.dragAreaM2':
    'Luftwiderstandsbeiwert mal Stirnfläche. 0 nimmt, was die Reiseflugwerte ergeben; eingetragen wird beides danach gewogen, wie sicher es ist.',
  'aircraft.registration':
    'Das Kennzeichen am Fluggerät, wie du es registriert hast. Leer fällt im Checkblatt auf.',
  'aircraft.insurance': 'Versicherer und Nummer, wie sie im Vertrag stehen.',
  'aircraft.insuredUntil':
    'Letzter Tag des Schutzes, im Vertrag. Leer gilt im Checkblatt als nicht versichert.',
  'aircraft.firmware':
    'Version darauf: an der Fernsteuerung unter „Info“. Leer wird nicht mit den Akkus verglichen.',
  'aircraft.firmwareOn': 'Tag, an dem zuletzt nach einer Aktualisierung gesehen wurde.',
  'aircraft.usualPackG':
    'Masse des Akkus, mit dem die Abflugmasse angegeben ist, in g: wieg ihn. 0 lässt schwerere Akkus aus der Rechnung.',
  'aircraft.internalGB':
    'Eingebauter Speicher, in GB: im Datenblatt. 0, wenn keiner da ist; geplant wird damit erst, wenn die Karten voll sind.',
  'aircraft.tiltUpDeg': 'Wie weit die Kamera nach oben blickt, in Grad: in den Einstellungen des Gimbals.',
  'aircraft.propsFromDeg': 'Neigung, ab der Propeller ins Bild kommen, in Grad: sieh dein Material an.',
  'handling.maxSpeedMs':
    'Geschwindigkeit bei vollem Ausschlag in diesem Profil: in den Einstellungen der Fernsteuerung.',
  'handling.maxYawDegS':
    'Drehung bei vollem Ausschlag, in Grad je Sekunde: in den Einstellungen der Fernsteuerung.',
  'handling.maxTiltDegS':
    'Neigen der Kamera bei vollem Rad, in Grad je Sekunde: in den Einstellungen des Gimbals.',
  'handling.smoothing':
    'Wie weich eine Drehung beginnt und endet, 0 hart bis 1 weich. Deine Schätzung, oder der Regler der Fernsteuerung als Anteil.',
  'handling.tiltSmoothing': 'Wie weich das Neigen der Kamera beginnt und endet, 0 hart bis 1 weich.',
  'handling.expo':
    'Wie flach die Mitte des Knüppels ist, 0 gerade bis 1 flach: in den Einstellungen der Fernsteuerung.',
  'ability.maxSpeedMs': 'Schnellstes, was diese Hilfe folgt oder fliegt: im Handbuch, oder ausprobiert.',
  'ability.minDistanceM': 'Kleinster Abstand, in dem sie arbeitet: im Handbuch.',
  'ability.maxDistanceM': 'Größter Abstand, in dem sie arbeitet: im Handbuch.',
  'camera.name': 'Wie sie heißt: Weitwinkel, Tele, zweite Kamera.',
  'camera.equivalentMm':
    'Brennweite wie am Vollformat, in mm: im Datenblatt als „äquivalent“. Daraus folgt der Bildwinkel.',
  'camera.apertures':
    'Blendenzahlen, die einstellbar sind, mit Leerzeichen dazwischen: im Datenblatt. Eine einzige ist eine feste Blende.',
  'camera.isoBase': 'ISO mit dem wenigsten Rauschen: im Datenblatt.',
  'camera.isoCeiling': 'Höchste ISO, die du noch nähmst, nach deinem eigenen Material.',
  'camera.rawMB': 'Größe eines Rohbilds, in MB: auf einer deiner Karten. 0, wenn sie keine schreibt.',
  'camera.stillAspect': 'Form ihrer Fotos: in den Fotoeinstellungen.',
  'camera.stillMB': 'Größe eines komprimierten Fotos, in MB: auf einer deiner Karten.',
  'camera.fixedTiltDeg':
    'Winkel, in dem eine Kamera ohne Gimbal sitzt, in Grad. Leer für eine Kamera am Gimbal.',
  'camera.sensorDiagonalMm': 'Diagonale des Sensors, in mm: im Datenblatt. Leer ergibt keine Schärfentiefe.',
  'camera.focus': 'Ob sie fokussiert oder von nah an scharf ist: im Datenblatt.',
  'camera.sharpFromF': 'Kleinste Blendenzahl, bei der sie am schärfsten ist, nach eigenen Versuchen.',
  'camera.sharpToF': 'Größte Blendenzahl, bevor sie weich wird, nach eigenen Versuchen.',
  'camera.maxZoom': 'Größter Digitalzoom, ×: auf dem Bildschirm der Fernsteuerung. 1 ist keiner.',
  'profile.name': 'Wie es im Menü der Kamera heißt.',
  'profile.school': 'In der Kamera fertig, flach zum Graden, oder hoher Dynamikumfang.',
  'profile.isoBase':
    'Niedrigste ISO, die das Profil erlaubt: an der Fernsteuerung mit eingeschaltetem Profil.',
  'profile.isoCeiling': 'Höchste ISO, die du damit noch nähmst.',
  'mode.name': 'Wie du sie nennst: 4K 25, Zeitlupe.',
  'mode.widthPx': 'Pixel in der Breite: in den Videoeinstellungen.',
  'mode.heightPx': 'Pixel in der Höhe: in den Videoeinstellungen.',
  'mode.fps': 'Bilder je Sekunde der Aufnahme: in den Videoeinstellungen.',
  'mode.megabitsPerS':
    'Höchste Bitrate, in Mbit/s: im Datenblatt, oder Größe eines Clips × 8 ÷ seine Sekunden. Daraus folgt der Kartenplatz.',
  'mode.codec': 'Wie der Schnitt es wissen will. Leer fehlt auf dem Papier.',
  'mode.maxZoom': 'Größter Zoom in diesem Modus, ×. 0 nimmt den der Kamera.',
  'mode.losslessZoom':
    'Zoom, bis zu dem keine Schärfe verloren geht, ×: Breite der Aufnahme gegen die des Sensors.',
  'card.name': 'Wie es darauf steht.',
  'card.nominalGB': 'Aufgedruckte Größe, in GB. Ein Teil bleibt frei.',
  'card.usedGB':
    'Was jetzt darauf ist, in GB: auf dem Bildschirm der Fernsteuerung. Es ändert sich mit dem, was du loggst.',
  'card.writeMBs':
    'Dauerhafte Schreibrate, in MB/s: die V-Zahl auf der Karte (V30 ist 30). 0 beurteilt sie nicht.',
  'charger.name': 'Wie du es nennst.',
  'charger.source': 'Woraus es zieht: Steckdose, Fahrzeug oder Powerbank.',
  'charger.sourceWh': 'Was die Quelle insgesamt gibt, in Wh: auf ihrem Etikett. 0, wo sie nicht leer wird.',
  'charger.slots': 'Akkus, die es zugleich hält.',
  'charger.manner': 'Ob es Akkus nacheinander oder nebeneinander lädt: in seiner Anleitung.',
  'charger.slotW': 'Leistung in einen Akku, in W: auf dem Etikett, Volt × Ampere.',
  'charger.totalW':
    'Leistung in alle Akkus zusammen, in W: auf dem Etikett. 0, wo jeder Platz seine eigene hat.',
  'charger.efficiency': 'Anteil dessen, was es zieht, der im Akku ankommt. 85 %, wo du nicht gemessen hast.',
  'charger.massG': 'Was es in der Tasche wiegt, in g. 0 lässt es aus der Summe.',
  'charger.aircraftIds': 'Fluggeräte, deren Akkus passen. Keines genannt gilt für alle.',
  'device.name': 'Wie du es nennst.',
  'device.role': 'Fernsteuerung, Telefon, Brille oder anderes, das geladen sein muss.',
  'device.charge': 'Ladung jetzt, in Prozent: auf seinem Bildschirm.',
  'device.hours': 'Stunden mit voller Ladung, nach deinen eigenen Tagen.',
  'device.massG': 'Was es in der Tasche wiegt, in g.',
  'device.firmware': 'Version darauf: unter „Info“.',
  'device.firmwareOn': 'Tag, an dem zuletzt nach einer Aktualisierung gesehen wurde.',
  'device.chargeMinutes': 'Minuten von leer bis voll.',
  'filter.name': 'Wie es auf dem Ring steht.',
  'filter.kind': 'Neutraldichte, variabel, Polfilter oder kombiniert.',
  'filter.factor':
    'Wodurch es das Licht teilt: 8 sind 3 Blenden, 16 sind 4. Auf dem Ring; eine Dichte von 0,9 ist der Faktor 8.',
  'filter.strongest': 'Faktor an seiner stärksten Marke.',
  'filter.massG': 'Was es wiegt, in g: Es fliegt mit. 0 lässt es weg.',
  'filter.aircraftIds': 'Fluggeräte, auf die es passt. Keines genannt gilt für alle.',
  'gear.name': 'Wie du es nennst.',
  'gear.role': 'Wofür es da ist.',
  'gear.count': 'Wie viele mitkommen.',
  'gear.massG': 'Masse von einem, in g. 0 lässt es aus der Summe.',
  'gear.readMBs': 'Leserate eines Kartenlesers, in MB/s: auf seinem Etikett. 0 für das, was nichts liest.',
  'gear.aircraftIds': 'Fluggeräte, für die es ist. Keines genannt gilt für alle.',
  'gear.fitted': 'Ein: Es sitzt am Fluggerät und zählt zur Abflugmasse.',
  'pack.name': 'Wie es darauf steht: Nummern helfen am Drehort.',
  'pack.aircraftIds': 'Fluggeräte, in die er passt.',
  'pack.ratedWh': 'Energie auf dem Etikett, in Wh (oder Volt × Amperestunden).',
  'pack.charge': 'Ladung jetzt, in Prozent: seine Lampen oder der Bildschirm der Fernsteuerung.',
  'pack.health':
    'Anteil der Nennenergie, den er noch hält: im Akkumenü, oder aus geloggten Flügen gelernt. 100 % wenn neu.',
  'pack.chargedOn': 'Tag, an dem er zuletzt geladen wurde. Leer nimmt ihn, wie er ist, ohne Selbstentladung.',
  'pack.drainDelayDays': 'Tage, bis er sich selbst auf Lagerladung entlädt: im Akkumenü.',
  'pack.chargeMinutes': 'Minuten von leer bis voll: im Datenblatt, oder gestoppt.',
  'pack.cycles': 'Ladungen, die er hinter sich hat: im Akkumenü.',
  'pack.mostCycles': 'Ladungen, nach denen du ihn ausmusterst.',
  'pack.massG': 'Was er wiegt, in g: auf der Waage. 0 nimmt die Masse des üblichen Akkus.',
  'pack.firmware': 'Version darauf: im Akkumenü. Leer wird nicht mit dem Fluggerät verglichen.',
  'pack.firmwareOn': 'Tag, an dem zuletzt nach einer Aktualisierung gesehen wurde.',
  'pack.condition': 'Geblähte oder beschädigte Akkus werden nicht geflogen, wie viel sie auch haben.',
  'pilot.name': 'Wer fliegt.',
  'pilot.notes': 'Gewohnheiten, Brille, welche Hand: was ein Plan wissen sollte.',
  'shot.kind': 'Was die Kamera tut. Taste M zeigt jede Bewegung, wie diese Einstellung sie flöge.',
  'shot.subjectId': 'Worum die Bewegung geht. Keines zielt auf einen Fleck vor dem Startpunkt.',
  'shot.role': 'Was sie in der Geschichte tut; das Storyboard liest es.',
  'shot.priority': 'Muss kommt zuerst, wenn Akkus oder Licht knapp werden; Kann fällt zuerst.',
  'shot.wants':
    'Licht, das sie braucht. Der Plan sucht diese Minute; beliebig wird geflogen, wenn Platz ist.',
  'shot.handling': 'Knüppelprofil, mit dem sie geflogen wird; seine Grenzen stehen unter Ausrüstung.',
  'shot.by': 'Gemessen in Sekunden, oder in Schlägen oder Zählzeiten der Filmmusik.',
  'shot.beats': 'Wie viele sie im Schnitt dauert; die Sekunden folgen aus dem Tempo im Briefing.',
  'shot.cutStyle': 'In Bewegung nimmt nur den gleichmäßigen Teil; ganz nimmt Anfang und Ende mit.',
  'shot.alsoAspect':
    'Eine zweite Form, in der die Einstellung funktionieren muss. Keine prüft nur die des Films.',
  'shot.records': 'Video, Fotos oder beides; der Platz auf der Karte folgt.',
  'shot.stillAs': 'Komprimiert, roh oder beides; die Größen stehen unter Ausrüstung, Kamera.',
  'shot.stills': 'Fotos neben oder statt dem Video.',
  'shot.aircraftId': 'Was sie fliegt. Ohne eines lässt sich nichts berechnen.',
  'shot.cameraId': 'Objektiv der Aufnahme; der Bildwinkel folgt.',
  'shot.modeId': 'Größe, Bildrate und Bitrate der Aufnahme; der Kartenplatz folgt.',
  'shot.zoom': 'Digitalzoom, ×; er teilt die Auflösung. 1 ist keiner.',
  'shot.takes': 'Durchgänge. Jeder kostet Energie und Kartenplatz.',
  'shot.takeStyle': 'Hin und zurück nimmt beide Wege auf; sonst fliegt das Fluggerät leer zurück.',
  'shot.setupS': 'Sekunden Schweben zum Einrichten vor dem ersten Take.',
  'shot.subjectMarginS': 'Sekunden Aufnahme davor und danach, wenn jemand durchs Bild geht.',
  'shot.walkS':
    'Sekunden, die der Pilot zur Marke geht, ein Weg; das Fluggerät schwebt derweil. Aus, wenn der Pilot nicht im Bild ist.',
  'shot.notes': 'Was nicht vergessen werden darf; es steht auf Papier und auf der Flugkarte.',
  'shot.aperture': 'Von Hand festgelegt; frei lässt den Rechner wählen.',
  'shot.shutterS': 'Von Hand festgelegt, in s; frei hält den Verschlusswinkel des Briefings.',
  'shot.iso': 'Von Hand festgelegt; frei bleibt so nah an der Basis-ISO, wie das Licht es erlaubt.',
  'shot.filterId': 'Von Hand festgelegt; frei wählt für den ganzen Flug, damit niemand zum Wechseln landet.',
  'shot.sky': 'Himmel am Drehort: Er ändert das Licht jeder Einstellung dort.',
  'shot.lamps': 'Lampen, die den Drehort nachts beleuchten.',
  'shot.offsetStops':
    'Blenden, die das Motiv dunkler (−) oder heller (+) ist als die offene Szene. 0, wo es in ihr liegt.',
  'shot.surface': 'Was das Bild füllt: Schnee und Wasser täuschen einen Belichtungsmesser.',
  'shot.lit': 'Offen, im Schatten oder im Gegenlicht.',
  'shot.litShare':
    'Anteil des Bildes, den Lampen beleuchten: 0 % keine, 100 % eine beleuchtete Straße füllt es.',
  'shot.profile': 'Bildprofil dieser Einstellung. Leer nimmt das des Films.',
  'shot.kelvin': 'Weißabgleich, in K. Leer nimmt den Vorschlag für ihre Minute.',
  'shot.focusM': 'Fokusentfernung, in m. Leer fokussiert fern.',
  'shot.notBefore': 'Nicht vor dieser Uhrzeit am Tag des Drehorts. Leer überlässt es dem Licht.',
  'shot.notAfter': 'Vor dieser Uhrzeit geflogen. Leer überlässt es Licht und Zeitfenster.',
  'shot.xM': 'Meter östlich des Startpunkts.',
  'shot.yM': 'Meter nördlich des Startpunkts.',
  'shot.zM': 'Meter über dem Startpunkt.',
  'shot.speedMs': 'Geschwindigkeit an diesem Punkt der Route.',
  'shot.timelineS': 'Sekunden dieses Abschnitts im Schnitt.',
  'shot.speedFactor':
    'Gegen Echtzeit: 0,5 ist halbe, 2 doppelte Geschwindigkeit. Zeitlupe braucht mehr Bilder je Sekunde.',
  'shot.endFactor': 'Geschwindigkeit am Ende einer Rampe. Leer bleibt sie gleich.',
  'shot.foreground': 'Was nah am Objektiv ist. Leer, wo nichts ist.',
  'shot.middle': 'Worauf das Auge ruht.',
  'shot.background': 'Was dahinter liegt.',
  'shot.people': 'Ob jemand zu erkennen ist, und ob eine Freigabe unterschrieben ist.',
  'shot.property': 'Ob ein einzelnes Anwesen das Bild füllt, und ob der Eigentümer zugestimmt hat.',
  'practice.moveKind': 'Bewegung, die geübt wurde.',
  'practice.handling': 'Simulator oder Knüppelprofil; ein Simulator zählt ein Drittel.',
  'practice.tries': 'Wie oft sie geflogen wurde.',
  'practice.keepers': 'Versuche, die du behalten hättest.',
  'kit.onThisFilm': 'Aus: Es bleibt bei diesem Film zu Hause und wird nicht verplant.',
};
